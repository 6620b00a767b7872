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
 * What the faces of a body add to its contour around an axis: turned ones their exact generator,
 * others samples of their edges and of the ridges that stand out of them.
 */
final class Generators {

  /** So many free faces are looked at within; of others only the edges count. */
  static final int MOST_RIDGED = 3000;

  private final Axis axis;
  private final List<Generator> found = new ArrayList<>();

  private Generators(Axis axis) {
    this.axis = axis;
  }

  /** Those of a body around an axis of the file's frame. */
  static List<Generator> of(Body body, Axis axis) {
    Generators generators = new Generators(local(body, axis));
    Set<Edge> exact = Collections.newSetFromMap(new IdentityHashMap<>());
    List<Face> others = new ArrayList<>();
    for (Face face : body.faces()) {
      Optional<Meridian> meridian = face.surface().meridian(generators.axis, Closeness.AXES);
      if (meridian.isEmpty()) {
        others.add(face);
        continue;
      }
      face.edges().forEach(use -> exact.add(use.edge()));
      if (!(face.surface() instanceof Plane)) {
        generators.turned(face, meridian.get());
      }
    }
    Reach reach = new Reach(Envelope.outermost(List.copyOf(generators.found)));
    int ridged = 0;
    Set<Edge> done = Collections.newSetFromMap(new IdentityHashMap<>());
    for (Face face : others) {
      for (EdgeUse use : face.edges()) {
        if (!exact.contains(use.edge()) && done.add(use.edge())) {
          generators.edge(use.edge());
        }
      }
      if (ridged++ < MOST_RIDGED) {
        generators.ridges(face, reach);
      }
    }
    return generators.found;
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
