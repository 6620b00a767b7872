package arborline.core.machine;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What the machine can take.
 *
 * @param rpm highest spindle speed, 1/min
 * @param power kW
 * @param torque N·m
 * @param diameter largest tool diameter beside occupied pockets, mm
 * @param diameterAlone largest tool diameter with both neighbours empty, mm
 * @param length largest length from the gauge line, mm
 * @param mass heaviest tool with holder, kg
 * @param moment largest tilting moment at the gauge line, N·m; empty where none is stated
 */
public record Limits(
    BigDecimal rpm,
    BigDecimal power,
    BigDecimal torque,
    BigDecimal diameter,
    BigDecimal diameterAlone,
    BigDecimal length,
    BigDecimal mass,
    Optional<BigDecimal> moment) {

  public Limits {
    moment = moment == null ? Optional.empty() : moment;
  }
}
