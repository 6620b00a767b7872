package arborline.core.stack;

/**
 * A cylinder or cone along the axis.
 *
 * @param length mm
 * @param from diameter on the machine side, mm
 * @param to diameter on the workpiece side, mm
 */
public record Body(double length, double from, double to) {

  /** Volume in mm3 of the frustum. */
  double volume() {
    return Math.PI * length / 12 * (from * from + from * to + to * to);
  }

  /** Distance of the centre of mass from the machine side, mm. */
  double centre() {
    double sum = from * from + from * to + to * to;
    return sum == 0 ? length / 2 : length / 4 * (from * from + 2 * from * to + 3 * to * to) / sum;
  }

  /** The part of this body before a length, counted from its machine side. */
  Body before(double at) {
    return new Body(at, from, diameter(at));
  }

  /** The part of this body behind a length. */
  Body behind(double at) {
    return new Body(length - at, diameter(at), to);
  }

  private double diameter(double at) {
    return length == 0 ? to : from + (to - from) * at / length;
  }
}
