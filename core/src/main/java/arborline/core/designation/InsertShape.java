package arborline.core.designation;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Insert shapes with their included angle. Source: ISO 1832, position 1. */
public enum InsertShape {
  A(85, 0),
  B(82, 0),
  C(80, 1 / Math.sin(Math.toRadians(80))),
  D(55, 1 / Math.sin(Math.toRadians(55))),
  E(75, 1 / Math.sin(Math.toRadians(75))),
  H(120, Math.tan(Math.toRadians(30))),
  K(55, 0),
  L(90, 0),
  M(86, 1 / Math.sin(Math.toRadians(86))),
  O(135, Math.tan(Math.toRadians(22.5))),
  P(108, Math.tan(Math.toRadians(36))),
  /** Round: no corner, its edge is the circle itself. */
  R(0, 1),
  S(90, 1),
  T(60, Math.sqrt(3)),
  V(35, 1 / Math.sin(Math.toRadians(35))),
  /** Trigon. */
  W(80, 0.5 * (1 / Math.tan(Math.toRadians(40)) + 1 / Math.tan(Math.toRadians(80))));

  private static final InsertShape[] BY_LETTER = new InsertShape[26];

  static {
    for (InsertShape shape : values()) {
      BY_LETTER[shape.name().charAt(0) - 'A'] = shape;
    }
  }

  private final int angle;
  private final double edgePerCircle;

  InsertShape(int angle, double edgePerCircle) {
    this.angle = angle;
    this.edgePerCircle = edgePerCircle;
  }

  static Optional<InsertShape> of(char letter) {
    return letter >= 'A' && letter <= 'Z'
        ? Optional.ofNullable(BY_LETTER[letter - 'A'])
        : Optional.empty();
  }

  /** All letters that are known. */
  static String letters() {
    return Stream.of(values()).map(InsertShape::name).collect(Collectors.joining(" "));
  }

  /** Included angle EPSR of the named corner in degrees; 0 for the round shape. */
  public int angle() {
    return angle;
  }

  public boolean round() {
    return this == R;
  }

  /** True where edge length and inscribed circle follow from each other. */
  public boolean regular() {
    return edgePerCircle > 0;
  }

  /** Edge length L over inscribed circle IC. */
  public double edgePerCircle() {
    return edgePerCircle;
  }
}
