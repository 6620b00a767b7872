package arborline.server.explain;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A size that was entered, and what is known of its tool.
 *
 * @param unit of the machine: mm or in
 * @param decimals that the machine shows
 * @param field {@code length}, {@code diameter} or {@code radius}
 * @param before what was entered in the same sitting, in order
 * @param entered as it was typed
 */
record MeasurementInput(
    @Nullable String machine,
    @Nullable String unit,
    @Nullable Integer decimals,
    @Nullable String field,
    @Nullable MeasuredRowInput row,
    @Nullable List<MeasuredRowInput> neighbours,
    @Nullable List<EnteredBeforeInput> before,
    @Nullable String entered) {

  /**
   * A tool and what is known of its size.
   *
   * @param since {@code reground} or {@code stack-changed} since the last value; null for neither
   */
  record MeasuredRowInput(
      @Nullable String place,
      @Nullable String tool,
      @Nullable BigDecimal nominal,
      @Nullable BigDecimal tolerance,
      @Nullable BigDecimal last,
      @Nullable String since) {}

  /** A size that was entered before. */
  record EnteredBeforeInput(@Nullable String place, @Nullable String entered) {}
}
