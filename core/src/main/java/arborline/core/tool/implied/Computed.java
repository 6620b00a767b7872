package arborline.core.tool.implied;

import arborline.core.property.Dictionary;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Implication;
import arborline.core.tool.Origin;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * A size computed from others once all of them are there. Lengths are in mm, angles in degrees,
 * both to four decimals; what is no finite number above zero does not follow, but a tip diameter
 * DCN may be zero.
 */
public final class Computed implements Implication {

  private static final int DECIMALS = 4;
  private static final String TIP = "DCN";

  private final String symbol;
  private final List<String> from;
  private final ToDoubleFunction<Tool> formula;

  private Computed(String symbol, List<String> from, ToDoubleFunction<Tool> formula) {
    this.symbol = symbol;
    this.from = List.copyOf(from);
    this.formula = formula;
  }

  static Computed of(String symbol, ToDoubleFunction<Tool> formula, String... from) {
    return new Computed(symbol, List.of(from), formula);
  }

  @Override
  public String symbol() {
    return symbol;
  }

  @Override
  public Origin origin() {
    return new Origin(Origin.Kind.IMPLIED, from);
  }

  @Override
  public Optional<Value> value(Tool tool) {
    if (!from.stream().allMatch(symbol -> tool.size(symbol) != null)) {
      return Optional.empty();
    }
    double size = formula.applyAsDouble(tool);
    boolean possible = Double.isFinite(size) && (size > 0 || size == 0 && symbol.equals(TIP));
    return possible ? Optional.of(measure(symbol, size)) : Optional.empty();
  }

  private static Value measure(String symbol, double size) {
    Unit unit = Dictionary.standard().get(symbol).unit().orElseThrow();
    BigDecimal rounded =
        BigDecimal.valueOf(size).setScale(DECIMALS, RoundingMode.HALF_UP).stripTrailingZeros();
    BigDecimal plain = rounded.scale() < 0 ? rounded.setScale(0) : rounded;
    return new Value.Measure(new Quantity(plain.toPlainString(), plain, unit), false);
  }
}
