package arborline.server.tool;

import arborline.core.formula.ValueFormula;
import arborline.core.quantity.Unit;
import arborline.core.tool.Value;
import com.fasterxml.jackson.annotation.JsonInclude;
import org.jspecify.annotations.Nullable;

/**
 * A value for showing.
 *
 * @param text as authored
 * @param unit as authored; null for words and counts
 * @param mm a length in millimetres, three decimals; null where it is no length
 * @param inch the same in inches, four decimals
 * @param defaulted true until somebody confirms it
 * @param formula by which somebody let it follow from others; text is what it came to
 * @param origin where it comes from; null where somebody wrote it down
 */
@JsonInclude(JsonInclude.Include.NON_DEFAULT)
public record ValueView(
    String text,
    @Nullable String unit,
    @Nullable String mm,
    @Nullable String inch,
    boolean defaulted,
    @Nullable String origin,
    @Nullable String formula) {

  public static ValueView of(Value value) {
    return switch (value) {
      case Value.Word word ->
          new ValueView(word.text(), null, null, null, word.defaulted(), null, null);
      case Value.Measure measure -> {
        Unit unit = measure.quantity().unit();
        boolean length = unit == Unit.MILLIMETRE || unit == Unit.INCH || unit == Unit.THOU;
        yield new ValueView(
            measure.text(),
            unit == Unit.ONE ? null : unit.code(),
            length ? measure.quantity().shown(Unit.MILLIMETRE, 3) : null,
            length ? measure.quantity().shown(Unit.INCH, 4) : null,
            measure.defaulted(),
            null,
            measure.formula().map(ValueFormula::text).orElse(null));
      }
    };
  }

  /** The same, of a value that nobody wrote down. */
  public ValueView from(String otherOrigin) {
    return new ValueView(text, unit, mm, inch, defaulted, otherOrigin, formula);
  }
}
