package arborline.server.support;

import java.lang.reflect.AnnotatedType;
import java.lang.reflect.RecordComponent;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanDescription;
import tools.jackson.databind.DeserializationConfig;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.ValueDeserializerModifier;
import tools.jackson.databind.deser.std.DelegatingDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * Lets no record of ours be read from a request with a hole in it: every member that is not marked
 * {@code @Nullable} must be there, no text may hold a NUL, no number may be beyond all digits. What
 * is refused is said with its place.
 */
final class WholeRecords {

  private static final int MOST_WHOLE_DIGITS = 15;
  private static final int MOST_DECIMALS = 30;
  private static final int MOST_ITEMS = 100_000;

  private WholeRecords() {}

  static SimpleModule module() {
    SimpleModule module = new SimpleModule("whole records");
    module.setDeserializerModifier(
        new ValueDeserializerModifier() {
          private static final long serialVersionUID = 1L;

          @Override
          public ValueDeserializer<?> modifyDeserializer(
              DeserializationConfig config,
              BeanDescription.Supplier bean,
              ValueDeserializer<?> deserializer) {
            Class<?> type = bean.getBeanClass();
            return type.isRecord() && type.getName().startsWith("arborline.")
                ? new Checked(deserializer)
                : deserializer;
          }
        });
    return module;
  }

  /** Reads a record, then looks at its members. */
  private static final class Checked extends DelegatingDeserializer {

    Checked(ValueDeserializer<?> record) {
      super(record);
    }

    @Override
    protected ValueDeserializer<?> newDelegatingInstance(ValueDeserializer<?> record) {
      return new Checked(record);
    }

    @Override
    public Object deserialize(JsonParser json, DeserializationContext context) {
      Object read = super.deserialize(json, context);
      if (read instanceof Record whole) {
        fault(whole).ifPresent(fault -> context.reportInputMismatch(handledType(), "%s", fault));
      }
      return read;
    }
  }

  /** What is wrong with the members of a record. */
  static Optional<String> fault(Record whole) {
    for (RecordComponent member : whole.getClass().getRecordComponents()) {
      Optional<String> fault = fault(value(whole, member), member.getAnnotatedType());
      if (fault.isPresent()) {
        return fault.map(what -> "'%s' %s".formatted(member.getName(), what));
      }
    }
    return Optional.empty();
  }

  private static @Nullable Object value(Record whole, RecordComponent member) {
    try {
      member.getAccessor().setAccessible(true);
      return member.getAccessor().invoke(whole);
    } catch (ReflectiveOperationException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static Optional<String> fault(@Nullable Object value, AnnotatedType type) {
    return switch (value) {
      case null ->
          type.isAnnotationPresent(Nullable.class) || type.getType() == Optional.class
              ? Optional.empty()
              : Optional.of("is missing");
      case String text ->
          text.indexOf('\0') >= 0 ? Optional.of("holds a NUL character") : Optional.empty();
      case Double number ->
          Double.isFinite(number) ? Optional.empty() : Optional.of("is beyond all numbers");
      case BigDecimal number -> digits(number);
      case Collection<?> items -> items(items);
      case Map<?, ?> entries -> items(entries.keySet()).or(() -> items(entries.values()));
      default -> Optional.empty();
    };
  }

  private static Optional<String> digits(BigDecimal number) {
    return number.precision() - (long) number.scale() > MOST_WHOLE_DIGITS
            || number.scale() > MOST_DECIMALS
        ? Optional.of(
            "has more than %d digits before the point or %d behind it"
                .formatted(MOST_WHOLE_DIGITS, MOST_DECIMALS))
        : Optional.empty();
  }

  private static Optional<String> items(Collection<?> items) {
    if (items.size() > MOST_ITEMS) {
      return Optional.of("has more than %d items".formatted(MOST_ITEMS));
    }
    for (Object item : items) {
      if (item == null) {
        return Optional.of("has an item that is missing");
      }
      if (item instanceof String text && text.indexOf('\0') >= 0) {
        return Optional.of("holds a NUL character");
      }
    }
    return Optional.empty();
  }
}
