package arborline.core.solid;

/**
 * In which units the shapes of a context are written.
 *
 * @param name of the length unit: {@code mm}, {@code in}, {@code m}, or how many mm it is
 * @param length mm in one of them
 * @param angle radians in one of them
 * @param written false where the file names no length unit, and mm are taken
 */
record ShapeUnits(String name, double length, double angle, boolean written) {

  static final ShapeUnits MILLIMETRES = new ShapeUnits("mm", 1, 1, false);

  ShapeUnits withLength(String unit, double millimetres) {
    return new ShapeUnits(unit, millimetres, angle, true);
  }

  ShapeUnits withAngle(double radians) {
    return new ShapeUnits(name, length, radians, written);
  }

  ShapeUnits scaled(double factor) {
    return new ShapeUnits(name, length * factor, angle, written);
  }
}
