package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import arborline.core.table.Nominal;
import arborline.core.table.Owner;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Lengths and diameters of planned tools as people measure and type them. */
final class TypedMeasures {

  private TypedMeasures() {}

  /** What is odd about measures of a tool, in sentences. */
  static List<String> questions(Nominal nominal, TableEntry entry) {
    List<String> questions = new ArrayList<>();
    for (TableField field : entry.fields().keySet()) {
      if (field.owner() == Owner.MEASUREMENT) {
        nominal.question(field, entry.number(field)).ifPresent(questions::add);
      }
    }
    return questions;
  }

  /** What is measured, in words. */
  static String words(TableEntry entry) {
    String words =
        entry.fields().entrySet().stream()
            .filter(field -> field.getKey().owner() == Owner.MEASUREMENT)
            .map(field -> "%s %s".formatted(field.getKey().title(), field.getValue()))
            .collect(Collectors.joining(", "));
    return words.isEmpty() ? "nothing is set" : words;
  }

  /**
   * An entry with sizes as somebody typed them.
   *
   * @param sizes by name; null keeps all
   * @throws Refusal where the control keeps no such size, or one is none
   */
  static TableEntry typed(Machine machine, TableEntry entry, @Nullable Map<String, String> sizes) {
    TableEntry typed = entry;
    for (Map.Entry<String, String> size :
        (sizes == null ? Map.<String, String>of() : sizes).entrySet()) {
      TableField field =
          MeasuredFields.named(machine, size.getKey())
              .orElseThrow(() ->
                  Refusal.badRequest(
                      "%s keeps no size '%s'".formatted(machine.name(), size.getKey())));
      typed = typed(typed, field, size.getValue());
    }
    return typed;
  }

  /**
   * An entry with a size as somebody typed it.
   *
   * @param typed null keeps what is known, a blank forgets it
   * @throws Refusal where it is no length, or one that cannot be
   */
  static TableEntry typed(TableEntry entry, TableField field, @Nullable String typed) {
    if (typed == null) {
      return entry;
    }
    if (typed.isBlank()) {
      return entry.with(field, null);
    }
    return switch (EntryParser.parse(typed, Unit.MILLIMETRE)) {
      case Entry.Refused refused ->
          throw Refusal.badRequest(
              "%s '%s': %s; %s"
                  .formatted(field.title(), typed, refused.reason(), refused.remedy()));
      case Entry.Understood understood -> {
        int sign = understood.quantity().amount().signum();
        if (!MeasuredFields.signed(field) && sign <= 0) {
          throw Refusal.badRequest("%s '%s' must be above zero".formatted(field.title(), typed));
        }
        yield entry.with(field, understood.quantity().in(Unit.MILLIMETRE).toPlainString());
      }
    };
  }
}
