package arborline.core.tool.outline;

/**
 * Where a dimension sits.
 *
 * @param symbol the property it shows
 * @param z1 where it starts along the axis, mm
 * @param z2 where it ends; equal to {@code z1} where it does not run along the axis
 * @param r the radius it refers to, mm
 */
public record Mark(String symbol, Kind kind, double z1, double z2, double r) {

  /** How a dimension is drawn. */
  public enum Kind {
    ALONG,
    ACROSS,
    RADIUS,
    ANGLE
  }
}
