package arborline.core.table;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a tool should measure, from its stack and its sheet, never from what was planned for it.
 *
 * @param sizes in mm and diameters, by field; what is not named is not known
 * @param tolerance how far a size may be off, mm; empty for the usual window
 * @param bounds a window for sizes whose nominal is not known, by field
 * @param unneeded sizes that the tool's work does not use: they may stay not set
 */
public record Nominal(
    Map<TableField, BigDecimal> sizes,
    Optional<BigDecimal> tolerance,
    Map<TableField, Window> bounds,
    Set<TableField> unneeded) {

  /** Nothing is known. */
  public static final Nominal UNKNOWN = new Nominal(Map.of(), Optional.empty(), Map.of(), Set.of());

  private static final BigDecimal USUAL_LENGTH = new BigDecimal("2");
  private static final BigDecimal USUAL_PART = new BigDecimal("0.05");

  /** Least and most of a size, mm. */
  public record Window(BigDecimal least, BigDecimal most) {}

  /**
   * True for a size within tolerance; without one within 2 mm of a length, X or Z and within 5 % of
   * a diameter or nose radius. A size that nothing is known of is plausible.
   */
  boolean plausible(TableField field, BigDecimal size) {
    BigDecimal nominal = sizes.get(field);
    if (nominal == null) {
      Window window = bounds.get(field);
      return window == null
          || size.compareTo(window.least()) >= 0 && size.compareTo(window.most()) <= 0;
    }
    BigDecimal off = size.subtract(nominal).abs();
    return off.compareTo(tolerance.orElseGet(() -> usual(field, nominal))) <= 0;
  }

  private static BigDecimal usual(TableField field, BigDecimal nominal) {
    return field == TableField.DIAMETER || field == TableField.NOSE_RADIUS
        ? nominal.multiply(USUAL_PART)
        : USUAL_LENGTH;
  }

  /** True where zero is what the size should be. */
  boolean zero(TableField field) {
    return sizes.containsKey(field) && sizes.get(field).signum() == 0;
  }

  /** What is odd about a size that somebody measured; empty where it is plausible. */
  public Optional<String> question(TableField field, BigDecimal size) {
    return plausible(field, size)
        ? Optional.empty()
        : Optional.of(
            "%s %s is far from what is expected (%s): measure again"
                .formatted(field.title(), size.toPlainString(), expected(field)));
  }

  /** What is expected of a size, in words. */
  String expected(TableField field) {
    BigDecimal nominal = sizes.get(field);
    if (nominal != null) {
      return "nominal " + nominal.toPlainString();
    }
    Window window = bounds.get(field);
    return window == null
        ? "nothing is known"
        : "%s to %s is possible"
            .formatted(window.least().toPlainString(), window.most().toPlainString());
  }
}
