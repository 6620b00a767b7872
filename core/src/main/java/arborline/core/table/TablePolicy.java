package arborline.core.table;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/**
 * How strictly tables are compared.
 *
 * @param decimals what the control can show; a difference behind that is none
 * @param questionLength a measured length further than this from nominal is questioned, mm
 * @param questionDiameter a measured diameter further than this from nominal is questioned, mm
 * @param randomPockets true where the control decides which pocket a tool returns to
 */
public record TablePolicy(
    int decimals, BigDecimal questionLength, BigDecimal questionDiameter, boolean randomPockets) {

  /** Equal as far as the control can tell; not set equals only not set. */
  public boolean same(TableField field, String one, String other) {
    if (one == null || other == null) {
      return one == other || zeroWear(field, one) && zeroWear(field, other);
    }
    if (one.equals(other)) {
      return true;
    }
    return field.numeric()
        ? rounded(one).compareTo(rounded(other)) == 0
        : one.toUpperCase(Locale.ROOT).equals(other.toUpperCase(Locale.ROOT));
  }

  /** A wear that is not set is a wear of zero. */
  private static boolean zeroWear(TableField field, String text) {
    boolean wear = field == TableField.LENGTH_WEAR || field == TableField.DIAMETER_WEAR;
    return wear && (text == null || new BigDecimal(text).signum() == 0);
  }

  private BigDecimal rounded(String text) {
    return new BigDecimal(text).setScale(decimals, RoundingMode.HALF_UP);
  }

  boolean questionable(TableField field, String measured, String nominal) {
    if (measured == null || nominal == null) {
      return false;
    }
    BigDecimal limit =
        switch (field) {
          case LENGTH -> questionLength;
          case DIAMETER -> questionDiameter;
          default -> null;
        };
    return limit != null
        && new BigDecimal(measured).subtract(new BigDecimal(nominal)).abs().compareTo(limit) > 0;
  }
}
