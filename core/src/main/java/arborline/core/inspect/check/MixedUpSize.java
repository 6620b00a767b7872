package arborline.core.inspect.check;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.quantity.Quantity;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A decimal point that slipped, or an inch taken for a millimetre: one size is impossible beside
 * the others, and all are those of an ordinary tool once it is ten times smaller or larger, or 25.4
 * times.
 */
@AutoService(InspectionCheck.class)
public final class MixedUpSize implements InspectionCheck {

  private static final int FEWEST_SIZES = 3;
  private static final int DECIMALS = 6;

  /** Something that happens to a size. */
  private enum MixUp {
    TOO_LARGE("decimal-point", "0.1", "its decimal point seems to have slipped: %s is meant"),
    TOO_SMALL("decimal-point", "10", "its decimal point seems to have slipped: %s is meant"),
    INCH_AS_MM("inch-for-mm", "25.4", "it seems to be in inches: %s is meant"),
    MM_AS_INCH(
        "mm-for-inch", "1/25.4", "it seems to be in mm and was taken as inches: %s is meant");

    private final String code;
    private final String factor;
    private final String sentence;

    MixUp(String code, String factor, String sentence) {
      this.code = code;
      this.factor = factor;
      this.sentence = sentence;
    }

    BigDecimal mended(BigDecimal size) {
      return factor.startsWith("1/")
          ? size.divide(new BigDecimal(factor.substring(2)), DECIMALS, RoundingMode.HALF_UP)
          : size.multiply(new BigDecimal(factor));
    }
  }

  /** One way to make sense of the sizes. */
  private record Explanation(String symbol, MixUp mixUp, BigDecimal mended) {}

  @Override
  public Optional<Finding> find(Tool written, Tool completed) {
    Optional<Shape> shape = Shape.of(written.toolClass());
    if (shape.isEmpty()) {
      return Optional.empty();
    }
    Map<String, Double> sizes = shape.get().sizes(completed);
    if (sizes.size() < FEWEST_SIZES || shape.get().impossible(sizes) == 0) {
      return Optional.empty();
    }
    List<Explanation> explanations = new ArrayList<>();
    for (String symbol : sizes.keySet()) {
      for (MixUp mixUp : MixUp.values()) {
        explain(written, shape.get(), sizes, symbol, mixUp).ifPresent(explanations::add);
      }
    }
    return explanations.stream().findFirst().map(found -> finding(written, sizes, found));
  }

  private static Optional<Explanation> explain(
      Tool written, Shape shape, Map<String, Double> sizes, String symbol, MixUp mixUp) {
    BigDecimal size = written.size(symbol);
    if (size == null) {
      return Optional.empty();
    }
    BigDecimal mended = mixUp.mended(size);
    Map<String, Double> changed = new LinkedHashMap<>(sizes);
    changed.put(symbol, mended.doubleValue());
    return shape.ordinary(changed)
        ? Optional.of(new Explanation(symbol, mixUp, mended))
        : Optional.empty();
  }

  private static Finding finding(Tool written, Map<String, Double> sizes, Explanation found) {
    Quantity quantity = ((Value.Measure) written.values().get(found.symbol())).quantity();
    String meant = found.mended().stripTrailingZeros().toPlainString() + " mm";
    List<String> beside = new ArrayList<>();
    sizes.forEach((symbol, size) -> {
      if (!symbol.equals(found.symbol())) {
        beside.add(String.format(Locale.ROOT, "%s %.4g", symbol, size));
      }
    });
    return Finding.query(
            found.mixUp().code,
            "%s %s does not go with %s: %s"
                .formatted(
                    found.symbol(),
                    quantity,
                    String.join(", ", beside),
                    found.mixUp().sentence.formatted(meant)),
            found.symbol())
        .withRepair(
            Repair.of(
                "%s.%s".formatted(found.mixUp().code, found.symbol()),
                "take %s as it seems to be meant".formatted(found.symbol()),
                Map.of(found.symbol(), meant)));
  }
}
