package arborline.core.solid;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Gathers dimensions of a proposal, to a micrometre or a thousandth of a degree. */
final class Dimensions {

  private static final int DECIMALS = 3;

  private final Map<String, BigDecimal> values = new LinkedHashMap<>();
  private final Map<String, String> texts = new LinkedHashMap<>();

  Dimensions add(String symbol, double value) {
    values.put(symbol, plain(value, DECIMALS));
    return this;
  }

  Dimensions text(String symbol, String value) {
    texts.put(symbol, value);
    return this;
  }

  /** A number to so many decimals, without zeros that say nothing. */
  static BigDecimal plain(double value, int decimals) {
    BigDecimal rounded =
        BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_EVEN).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }

  SolidProposal as(String kind, String classId, double confidence) {
    return new SolidProposal(
        kind,
        classId.isEmpty() ? Optional.empty() : Optional.of(classId),
        plain(confidence, 2),
        values,
        texts);
  }
}
