package arborline.core.machine;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * A spindle.
 *
 * @param name as people call it: {@code main}, {@code sub}, {@code upper}
 * @param carries what it turns
 * @param seat connection code of a spindle that carries tools; null for one that carries work
 * @param rpm highest speed, 1/min
 * @param power kW
 * @param torque N·m
 * @param locks true where a spindle for tools can be held still, so that tools can turn with it
 */
public record MachineSpindle(
    String name,
    Carries carries,
    @Nullable String seat,
    BigDecimal rpm,
    BigDecimal power,
    BigDecimal torque,
    boolean locks) {

  /** What a spindle turns. */
  public enum Carries {
    TOOL,
    WORK
  }
}
