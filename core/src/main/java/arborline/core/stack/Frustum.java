package arborline.core.stack;

import java.math.BigDecimal;

/**
 * One row of a component's table: a cylinder or cone as somebody gave it.
 *
 * @param length mm
 * @param from diameter on the machine side, mm
 * @param to diameter on the workpiece side, mm
 */
public record Frustum(BigDecimal length, BigDecimal from, BigDecimal to) {

  /** A row of whole or simple numbers. */
  public static Frustum of(String length, String from, String to) {
    return new Frustum(new BigDecimal(length), new BigDecimal(from), new BigDecimal(to));
  }

  /** The same for computation. */
  Body body() {
    return new Body(length.doubleValue(), from.doubleValue(), to.doubleValue());
  }

  /** True where each number is there, above zero and below a limit in mm. */
  boolean sound(BigDecimal limit) {
    return sound(length, limit) && sound(from, limit) && sound(to, limit);
  }

  private static boolean sound(BigDecimal size, BigDecimal limit) {
    return size != null && size.signum() > 0 && size.compareTo(limit) < 0;
  }
}
