package arborline.server.machine;

import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import arborline.core.table.Nominal;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Lengths and diameters of planned tools as people measure and type them. */
final class TypedMeasures {

  private TypedMeasures() {}

  /** What is odd about measures of a tool, in sentences. */
  static List<String> questions(Nominal nominal, TableEntry entry) {
    List<String> questions = new ArrayList<>();
    for (TableField field : List.of(TableField.LENGTH, TableField.DIAMETER)) {
      if (entry.get(field) != null) {
        nominal.question(field, entry.number(field)).ifPresent(questions::add);
      }
    }
    return questions;
  }

  /** Both sizes in words. */
  static String words(TableEntry entry) {
    return "length %s, diameter %s"
        .formatted(
            Optional.ofNullable(entry.get(TableField.LENGTH)).orElse("not set"),
            Optional.ofNullable(entry.get(TableField.DIAMETER)).orElse("not set"));
  }

  /**
   * An entry with a size as somebody typed it.
   *
   * @param typed null keeps what is known, a blank forgets it
   * @throws Refusal where it is no length above zero
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
        if (understood.quantity().amount().signum() <= 0) {
          throw Refusal.badRequest("%s '%s' must be above zero".formatted(field.title(), typed));
        }
        yield entry.with(field, understood.quantity().in(Unit.MILLIMETRE).toPlainString());
      }
    };
  }
}
