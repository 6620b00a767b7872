package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import arborline.core.solid.shape.Meridian;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What the faces of bodies add to their contour around an axis: turned ones their exact generator,
 * others samples of their edges and of the ridges that stand out of them.
 */
final class Generators {

  /** So many free faces of all bodies are looked at within; of others only the edges count. */
  static final int MOST_RIDGED = 1500;

  private final Axis axis;
  private final List<Generator> found = new ArrayList<>();
  private final List<Face> free = new ArrayList<>();

  /** Edges of turned faces, which add nothing more. */
  private final Set<Edge> done = Collections.newSetFromMap(new IdentityHashMap<>());

  private Generators(Body body, Axis axis) {
    this.axis = local(body, axis);
    for (Face face : body.faces()) {
      Optional<Meridian> meridian = face.surface().meridian(this.axis, Closeness.AXES);
      if (meridian.isEmpty()) {
        free.add(face);
        continue;
      }
      face.edges().forEach(use -> done.add(use.edge()));
      if (!(face.surface() instanceof Plane)) {
        turned(face, meridian.get());
      }
    }
  }

  /**
   * What was found.
   *
   * @param whole false where free faces may bulge out that were not looked at
   */
  record Found(List<Generator> generators, boolean whole) {}

  /** Those of bodies around an axis of the file's frame. */
  static Found of(List<Body> bodies, Axis axis) {
    return of(bodies, axis, MOST_RIDGED);
  }

  /** The same without what bulges out between the edges of a face that is not turned. */
  static Found ofEdges(List<Body> bodies, Axis axis) {
    return of(bodies, axis, 0);
  }

  private static Found of(List<Body> bodies, Axis axis, int most) {
    List<Generators> each = bodies.stream().map(body -> new Generators(body, axis)).toList();
    Reach turned = new Reach(Envelope.outermost(joined(each)));
    int left = most;
    for (Generators one : each) {
      left = one.free(turned, left);
    }
    boolean bulging =
        each.stream()
            .flatMap(one -> one.free.stream())
            .anyMatch(face -> !(face.surface() instanceof Plane));
    return new Found(joined(each), left > 0 || !bulging);
  }

  private static List<Generator> joined(List<Generators> each) {
    return each.stream().flatMap(one -> one.found.stream()).toList();
  }

  /** Adds free faces; of so many also what lies within them. Answers how many may be left. */
  private int free(Reach turned, int most) {
    int left = most;
    for (Face face : free) {
      for (EdgeUse use : face.edges()) {
        if (done.add(use.edge())) {
          edge(use.edge());
        }
      }
      if (left > 0 && !(face.surface() instanceof Plane)) {
        left--;
        ridges(face, turned);
      }
    }
    return left;
  }

  /** An axis of the file's frame as the body's own frame sees it. */
  static Axis local(Body body, Axis axis) {
    return new Axis(
        body.placement().local(axis.origin()), body.placement().localDirection(axis.direction()));
  }

  private void turned(Face face, Meridian meridian) {
    MeridianRange range = MeridianRange.of(face, axis, meridian);
    if (Double.isNaN(range.from())) {
      return;
    }
    Sector sector = FaceSector.of(face, axis);
    for (ContourPiece piece : MeridianPieces.of(meridian, range)) {
      found.add(Generator.turned(piece, outside(face, piece), sector));
    }
  }

  /** True where the face's normal points away from the axis in the middle of a piece. */
  private boolean outside(Face face, ContourPiece piece) {
    double z = (piece.from() + piece.to()) / 2;
    Vector3 out = axis.direction().anyAcross();
    Vector3 point = axis.at(z).plus(out.times(piece.r(z)));
    double away = SurfaceNormals.at(face.surface(), point).dot(out);
    return face.outward() == away > 0;
  }

  private void edge(Edge edge) {
    int pieces = edge.pieces() * 2;
    Vector3 before = edge.at(0);
    for (int i = 1; i <= pieces; i++) {
      Vector3 next = edge.at((double) i / pieces);
      add(before, next);
      before = next;
    }
  }

  private void ridges(Face face, Reach reach) {
    for (List<Vector3> ridge : Ridges.of(face, axis, reach)) {
      for (int i = 1; i < ridge.size(); i++) {
        add(ridge.get(i - 1), ridge.get(i));
      }
      if (ridge.size() == 1) {
        add(ridge.getFirst(), ridge.getFirst());
      }
    }
  }

  /** A straight piece; a point, or one across the axis, as the highest it reaches. */
  private void add(Vector3 a, Vector3 b) {
    double za = axis.z(a);
    double zb = axis.z(b);
    double ra = axis.r(a);
    double rb = axis.r(b);
    StraightPiece piece =
        za <= zb ? new StraightPiece(za, ra, zb, rb) : new StraightPiece(zb, rb, za, ra);
    found.add(Generator.sampled(piece));
  }
}
