package arborline.core.cutting;

/**
 * What stands against a cut; infinite where nothing does.
 *
 * @param rpm of the spindle, 1/min
 * @param power at the spindle, kW
 * @param torque at the spindle, N·m
 * @param compliance deflection at the tip per newton, micrometres; 0 where it is not known
 * @param bend largest deflection allowed, micrometres
 */
public record Limits(double rpm, double power, double torque, double compliance, double bend) {

  public static final Limits NONE =
      new Limits(
          Double.POSITIVE_INFINITY,
          Double.POSITIVE_INFINITY,
          Double.POSITIVE_INFINITY,
          0,
          Double.POSITIVE_INFINITY);
}
