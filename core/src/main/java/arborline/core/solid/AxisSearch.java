package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import arborline.core.solid.shape.Meridian;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The axes around which faces of a file are turned, with how much of its surface is. */
final class AxisSearch {

  /**
   * An axis.
   *
   * @param area of the turned faces that look away from it, mm²
   */
  record Candidate(Axis axis, double area) {}

  private static final int MOST = 6;

  /** No tool has more; those that are met later do not count. */
  private static final int MOST_MET = 4000;

  private static final double SHARE = 0.02;

  private final List<Axis> axes = new ArrayList<>();
  private final List<Double> areas = new ArrayList<>();
  private int leftOut;

  private AxisSearch() {}

  static AxisSearch of(List<Body> bodies) {
    AxisSearch search = new AxisSearch();
    for (Body body : bodies) {
      for (Face face : body.faces()) {
        search.take(body, face);
      }
    }
    return search;
  }

  /** Where faces were left out because there were too many axes before them. */
  Optional<SolidFinding> finding() {
    return leftOut == 0
        ? Optional.empty()
        : Optional.of(
            new SolidFinding(
                0,
                "too-many-axes",
                ("the faces are turned around more than %d axes: %d faces met after those did not"
                        + " count when the axis of the part was looked for")
                    .formatted(MOST_MET, leftOut)));
  }

  /** The weightiest first; each a share of the first at least. */
  List<Candidate> weightiest() {
    List<Candidate> found = new ArrayList<>();
    for (int i = 0; i < axes.size(); i++) {
      found.add(new Candidate(axes.get(i), areas.get(i)));
    }
    found.sort(Comparator.comparingDouble(Candidate::area).reversed());
    double least = found.isEmpty() ? 0 : found.getFirst().area() * SHARE;
    return found.stream().filter(one -> one.area() >= least).limit(MOST).toList();
  }

  private void take(Body body, Face face) {
    Optional<Axis> own = face.surface().axis();
    if (own.isEmpty()) {
      return;
    }
    Optional<Meridian> meridian = face.surface().meridian(own.get(), Closeness.AXES);
    MeridianRange range =
        meridian.map(found -> MeridianRange.of(face, own.get(), found)).orElse(null);
    if (range == null || Double.isNaN(range.from())) {
      return;
    }
    double extent = FaceSector.of(face, own.get()).extent();
    double area = 0;
    double height = 0;
    for (ContourPiece piece : MeridianPieces.of(meridian.get(), range)) {
      double r0 = piece.r(piece.from());
      double r1 = piece.r(piece.to());
      area += extent * (r0 + r1) / 2 * Math.hypot(piece.to() - piece.from(), r1 - r0);
      height = (piece.from() + piece.to()) / 2;
    }
    Vector3 out = own.get().direction().anyAcross();
    double r = meridian.get().r((range.from() + range.to()) / 2);
    Vector3 point = own.get().at(height).plus(out.times(r));
    boolean away = face.outward() == SurfaceNormals.at(face.surface(), point).dot(out) > 0;
    add(
        new Axis(
            body.placement().point(own.get().at(height)),
            body.placement().direction(own.get().direction())),
        away ? area : 0);
  }

  private void add(Axis axis, double area) {
    for (int i = 0; i < axes.size(); i++) {
      if (Closeness.AXES.same(axes.get(i), axis)) {
        areas.set(i, areas.get(i) + area);
        return;
      }
    }
    if (axes.size() == MOST_MET) {
      leftOut++;
      return;
    }
    axes.add(axis);
    areas.add(area);
  }
}
