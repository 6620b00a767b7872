package arborline.core.solid.shape;

/**
 * A straight line; its parameter is mm from the origin.
 *
 * @param direction of length 1
 */
public record Line(Vector3 origin, Vector3 direction) implements Curve {

  public Line {
    direction = direction.unit();
  }

  @Override
  public Vector3 at(double parameter) {
    return origin.plus(direction.times(parameter));
  }

  @Override
  public double parameter(Vector3 point) {
    return point.minus(origin).dot(direction);
  }
}
