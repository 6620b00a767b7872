package arborline.core.tool.implied;

import arborline.core.quantity.Unit;
import arborline.core.tool.Implication;
import arborline.core.tool.Origin;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Optional;

/**
 * A value that is the same as another, in the unit in which that one was written.
 *
 * @param beside symbols that must be there too, without entering the value
 */
public record Same(String symbol, String from, String... beside) implements Implication {

  @Override
  public Origin origin() {
    return Origin.implied(from);
  }

  @Override
  public Optional<Value> value(Tool tool) {
    for (String other : beside) {
      if (!tool.has(other)) {
        return Optional.empty();
      }
    }
    return Optional.ofNullable(tool.values().get(from)).filter(Same::something);
  }

  /** What cannot be is complained about where it was written, and does not spread. */
  private static boolean something(Value value) {
    return !(value instanceof Value.Measure measure)
        || measure.quantity().amount().signum() > 0 && !broken(measure);
  }

  /** A count with decimals. */
  private static boolean broken(Value.Measure measure) {
    return measure.quantity().unit() == Unit.ONE
        && measure.quantity().amount().stripTrailingZeros().scale() > 0;
  }
}
