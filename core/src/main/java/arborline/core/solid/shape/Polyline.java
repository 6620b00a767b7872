package arborline.core.solid.shape;

import java.util.List;

/** Straight pieces from point to point; the parameter counts them. */
public record Polyline(List<Vector3> points) implements Curve {

  public Polyline {
    points = List.copyOf(points);
  }

  @Override
  public Vector3 at(double parameter) {
    int piece = Math.clamp((int) Math.floor(parameter), 0, Math.max(0, points.size() - 2));
    Vector3 from = points.get(piece);
    Vector3 to = points.get(Math.min(piece + 1, points.size() - 1));
    return from.plus(to.minus(from).times(parameter - piece));
  }

  @Override
  public double parameter(Vector3 point) {
    double best = 0;
    double least = Double.MAX_VALUE;
    for (int i = 0; i + 1 < points.size(); i++) {
      Vector3 along = points.get(i + 1).minus(points.get(i));
      double squared = along.dot(along);
      double part =
          squared == 0 ? 0 : Math.clamp(point.minus(points.get(i)).dot(along) / squared, 0.0, 1.0);
      double distance = at(i + part).distance(point);
      if (distance < least) {
        least = distance;
        best = i + part;
      }
    }
    return best;
  }
}
