package arborline.core.measure;

import java.util.Locale;

/** What may have gone wrong where a size is not plausible, in the order in which it is asked. */
public enum Suspicion {
  ZERO,
  REPEATED_LAST_VALUE,
  INCH_FOR_MM,
  MM_FOR_INCH,
  SLIPPED_DECIMAL,
  RADIUS_FOR_DIAMETER,
  DIGIT_TRANSPOSED,
  ROWS_EXCHANGED,
  OUT_OF_TOLERANCE;

  /** Stable name: {@code slipped-decimal}. */
  public String code() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
