package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Patch;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Surface;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.List;

/**
 * Where within a face that is not turned around an axis the distance from the axis has a greatest
 * value: there its normal lies in a plane with the axis.
 */
final class Ridges {

  private static final int COLUMNS = 12;
  private static final int ROWS = 16;

  /** Rows between two rows where something stands out. */
  private static final int FINER = 8;

  private static final int STEPS = 40;
  private static final int BISECTIONS = 24;

  /** The cosine of the angle around the axis within which points follow each other. */
  private static final double BESIDE = 0.95;

  private static final double STANDS_OUT = 0.002;

  private final Face face;
  private final Axis axis;
  private final Reach reach;
  private final Patch patch;
  private final FaceRegion region;

  /** Between which places along the axis its boundary lies. */
  private final double low;

  private final double high;

  private Ridges(Face face, Axis axis, Reach reach) {
    this.face = face;
    this.axis = axis;
    this.reach = reach;
    List<Vector3> boundary = boundary(face);
    this.patch = face.surface().patch(boundary);
    this.low = boundary.stream().mapToDouble(axis::z).min().orElse(0);
    this.high = boundary.stream().mapToDouble(axis::z).max().orElse(0);
    this.region = new FaceRegion(face);
  }

  /**
   * Each as points of the face that follow each other; of a plane none.
   *
   * @param reach of the turned faces; what stays within it does not count
   */
  static List<List<Vector3>> of(Face face, Axis axis, Reach reach) {
    if (face.surface() instanceof Plane || face.edges().isEmpty()) {
      return List.of();
    }
    return new Ridges(face, axis, reach).found();
  }

  private static List<Vector3> boundary(Face face) {
    List<Vector3> boundary = new ArrayList<>();
    for (EdgeUse use : face.edges()) {
      int pieces = use.edge().pieces();
      for (int i = 0; i <= pieces; i++) {
        boundary.add(use.edge().at((double) i / pieces));
      }
    }
    return boundary;
  }

  /** A ridge that is being followed, and whether the last row met it. */
  private static final class Ridge {
    private final List<Vector3> points = new ArrayList<>();
    private boolean met;
  }

  private List<List<Vector3>> found() {
    List<Ridge> ridges = new ArrayList<>();
    List<Double> shares = shares();
    for (int i = 0; i < shares.size(); i++) {
      follow(ridges, shares.get(i), i == 0 ? shares.get(i) : shares.get(i - 1));
    }
    return ridges.stream().map(ridge -> ridge.points).toList();
  }

  /** Where rows are looked at: closely where something stands out. */
  private List<Double> shares() {
    List<Double> shares = new ArrayList<>();
    boolean before = false;
    for (int row = 0; row <= ROWS; row++) {
      boolean standsOut = row((double) row / ROWS).stream().anyMatch(this::standsOut);
      if (row > 0 && (standsOut || before)) {
        for (int fine = 0; fine < FINER; fine++) {
          shares.add((row - 1 + (double) fine / FINER) / ROWS);
        }
      }
      if (row == ROWS && standsOut) {
        shares.add(1.0);
      }
      before = standsOut;
    }
    return shares;
  }

  /** Goes on with ridges at a row; where one begins or ends, up to the face's boundary. */
  private void follow(List<Ridge> ridges, double share, double before) {
    List<Ridge> open = ridges.stream().filter(ridge -> ridge.met).toList();
    ridges.forEach(ridge -> ridge.met = false);
    for (Vector3 point : row(share)) {
      if (!within(point)) {
        continue;
      }
      Ridge ridge =
          open.stream()
              .filter(one -> !one.met && beside(one.points.getLast(), point))
              .findFirst()
              .orElse(null);
      if (ridge == null) {
        ridge = new Ridge();
        ridges.add(ridge);
        ridge.points.add(boundary(point, share, before));
      }
      ridge.points.add(point);
      ridge.met = true;
    }
    for (Ridge ridge : open) {
      if (!ridge.met) {
        ridge.points.add(boundary(ridge.points.getLast(), before, share));
      }
    }
  }

  /**
   * Within the face; a point just beyond its ends counts as the arithmetic's, not as the face's.
   */
  private boolean within(Vector3 point) {
    double z = axis.z(point);
    double beyond = Math.max(low - z, z - high);
    return (beyond <= 0 || beyond > STANDS_OUT) && region.contains(point);
  }

  private boolean beside(Vector3 point, Vector3 other) {
    return axis.outward(point).dot(axis.outward(other)) > BESIDE;
  }

  /** The last point of a ridge within the face, between a row that is and one that is not. */
  private Vector3 boundary(Vector3 within, double inside, double outside) {
    Vector3 last = within;
    double low = inside;
    double high = outside;
    for (int i = 0; i < BISECTIONS && low != high; i++) {
      double middle = (low + high) / 2;
      Vector3 reference = last;
      Vector3 next =
          row(middle).stream()
              .filter(point -> beside(point, reference) && within(point))
              .findFirst()
              .orElse(null);
      if (next == null) {
        high = middle;
      } else {
        low = middle;
        last = next;
      }
    }
    return last;
  }

  private boolean standsOut(Vector3 point) {
    return axis.r(point) > reach.at(axis.z(point), 0) + STANDS_OUT;
  }

  /** The places of one row where the normal lies in a plane with the axis. */
  private List<Vector3> row(double share) {
    List<Vector3> points = new ArrayList<>();
    double v = patch.v(share);
    double before = slope(patch.u0(), v);
    for (int i = 1; i <= COLUMNS; i++) {
      double next = slope(patch.u((double) i / COLUMNS), v);
      if (before * next < 0) {
        points.add(root(i, v, before));
      }
      before = next;
    }
    return points;
  }

  /** 0 where the normal lies in a plane with the axis. */
  private double slope(double u, double v) {
    Surface surface = face.surface();
    Vector3 around = axis.direction().cross(axis.outward(surface.at(u, v)));
    return surface.normal(u, v).dot(around);
  }

  private Vector3 root(int column, double v, double valueBefore) {
    double low = patch.u((double) (column - 1) / COLUMNS);
    double high = patch.u((double) column / COLUMNS);
    for (int step = 0; step < STEPS; step++) {
      double middle = (low + high) / 2;
      if (slope(middle, v) * valueBefore > 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return face.surface().at((low + high) / 2, v);
  }
}
