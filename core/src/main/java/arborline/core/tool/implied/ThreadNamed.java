package arborline.core.tool.implied;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Implication;
import arborline.core.tool.Origin;
import arborline.core.tool.ThreadSize;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.function.Function;

/** Diameter and pitch of the thread that TDZ names. */
public record ThreadNamed(String symbol, Function<ThreadSize, BigDecimal> size)
    implements Implication {

  /** Nominal diameter TD and pitch TP, mm. */
  public static Implication[] sizes() {
    return new Implication[] {
      new ThreadNamed("TD", ThreadSize::diameter), new ThreadNamed("TP", ThreadSize::pitch)
    };
  }

  @Override
  public Origin origin() {
    return Origin.implied("TDZ");
  }

  @Override
  public Optional<Value> value(Tool tool) {
    return tool.word("TDZ").flatMap(ThreadSize::parse).map(size).map(this::measure);
  }

  private Value measure(BigDecimal millimetres) {
    return new Value.Measure(
        new Quantity(millimetres.toPlainString(), millimetres, Unit.MILLIMETRE), false);
  }
}
