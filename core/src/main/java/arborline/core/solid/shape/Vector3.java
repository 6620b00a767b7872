package arborline.core.solid.shape;

/** A point or a direction in space; a point's coordinates are mm. */
public record Vector3(double x, double y, double z) {

  public static final Vector3 ZERO = new Vector3(0, 0, 0);
  public static final Vector3 X = new Vector3(1, 0, 0);
  public static final Vector3 Y = new Vector3(0, 1, 0);
  public static final Vector3 Z = new Vector3(0, 0, 1);

  public Vector3 plus(Vector3 other) {
    return new Vector3(x + other.x, y + other.y, z + other.z);
  }

  public Vector3 minus(Vector3 other) {
    return new Vector3(x - other.x, y - other.y, z - other.z);
  }

  public Vector3 times(double factor) {
    return new Vector3(x * factor, y * factor, z * factor);
  }

  public double dot(Vector3 other) {
    return x * other.x + y * other.y + z * other.z;
  }

  public Vector3 cross(Vector3 other) {
    return new Vector3(
        y * other.z - z * other.y, z * other.x - x * other.z, x * other.y - y * other.x);
  }

  public double length() {
    return Math.sqrt(dot(this));
  }

  public double distance(Vector3 other) {
    return minus(other).length();
  }

  /** The same direction with length 1; a vector without length stays as it is. */
  public Vector3 unit() {
    double length = length();
    return length == 0 ? this : times(1 / length);
  }

  /** Some direction of length 1 across this one. */
  public Vector3 anyAcross() {
    double ax = Math.abs(x);
    double ay = Math.abs(y);
    double az = Math.abs(z);
    Vector3 least = ax <= ay && ax <= az ? X : ay <= az ? Y : Z;
    return cross(least).unit();
  }
}
