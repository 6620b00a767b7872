package arborline.core.solid;

/** A corner of a contour, or an arc from the corner before it; mm from the workpiece end. */
public sealed interface ProfileElement {

  /** A corner, to which a straight line leads from the one before. */
  record Corner(double z, double r) implements ProfileElement {}

  /** An arc that bulges away from the axis, less than half a circle. */
  record Arc(double z1, double r1, double z2, double r2, double radius) implements ProfileElement {}

  /** Where it ends. */
  default double endZ() {
    return switch (this) {
      case Corner corner -> corner.z();
      case Arc arc -> arc.z2();
    };
  }

  default double endR() {
    return switch (this) {
      case Corner corner -> corner.r();
      case Arc arc -> arc.r2();
    };
  }
}
