package arborline.core.measure;

import java.util.Locale;

/** Verdicts about sizes as people are told them: what may have gone wrong, and what to do. */
public final class MeasurementWords {

  private MeasurementWords() {}

  /** One sentence about a verdict of this measurement. */
  public static String sentence(Measurement measurement, MeasurementVerdict verdict) {
    String unit = measurement.unit().code();
    String size = measurement.size().name().toLowerCase(Locale.ROOT);
    String value = verdict.value().stripTrailingZeros().toPlainString();
    String proposal = verdict.proposal().map(right -> right.toPlainString()).orElse("");
    if (verdict.suspicion().isEmpty()) {
      return "%s %s %s can be that of %s".formatted(size, value, unit, measurement.row().tool());
    }
    return switch (verdict.suspicion().get()) {
      case ZERO -> "the %s is zero: measure it".formatted(size);
      case REPEATED_LAST_VALUE ->
          "%s was entered for another tool just before, or is the old value of this one: measure it"
              .formatted(value);
      case INCH_FOR_MM -> "%s may be inches: is it %s mm?".formatted(value, proposal);
      case MM_FOR_INCH -> "%s may be millimetres: is it %s in?".formatted(value, proposal);
      case SLIPPED_DECIMAL ->
          "the decimal point may have slipped: is it %s %s?".formatted(proposal, unit);
      case RADIUS_FOR_DIAMETER ->
          "%s may be the radius: is the diameter %s %s?".formatted(value, proposal, unit);
      case DIGIT_TRANSPOSED ->
          "two digits may be exchanged: is it %s %s?".formatted(proposal, unit);
      case ROWS_EXCHANGED -> "%s fits a row beside it: are the two exchanged?".formatted(value);
      case OUT_OF_TOLERANCE ->
          "%s %s is not what %s can have%s: measure it again"
              .formatted(
                  size,
                  value,
                  measurement.row().tool(),
                  measurement
                      .row()
                      .nominal()
                      .map(nominal -> " (nominal %s %s)".formatted(nominal.toPlainString(), unit))
                      .orElse(""));
    };
  }
}
