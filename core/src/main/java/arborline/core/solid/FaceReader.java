package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.references;
import static arborline.core.solid.ShapeArguments.statement;
import static arborline.core.solid.ShapeArguments.unusable;
import static arborline.core.solid.ShapeArguments.yes;

import arborline.core.part21.Entity;
import arborline.core.part21.InstanceMap;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Curve;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Polyline;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Faces, loops and edges of a file. Source: ISO 10303-42, topology. */
final class FaceReader {

  /** A tool has fewer edges by far, and so has each of its faces. */
  private static final int MOST_EDGES = 100_000;

  private static final int MOST_EDGES_OF_FACE = 20_000;

  /** So many edges bound the faces of a file at most, each counted for each of its faces. */
  private static final int MOST_USES = 250_000;

  /** So many points of polylines are looked at to find where edges begin and end. */
  private static final long MOST_LOOKED_AT = 100_000_000;

  private final Part21Document document;
  private final PlacedPoints points;
  private final CurveReader curves;
  private final SurfaceReader surfaces;
  private final SolidFindings findings;
  private final InstanceMap<Edge> edges;
  private int edgesRead;
  private long used;
  private long lookedAt;

  FaceReader(Part21Document document, ShapeUnits units, SolidFindings findings) {
    this.document = document;
    this.edges = new InstanceMap<>(document);
    this.findings = findings;
    this.points = new PlacedPoints(document, units.length());
    this.curves = new CurveReader(document, points, units.length());
    this.surfaces = new SurfaceReader(document, points, curves, units);
  }

  PlacedPoints points() {
    return points;
  }

  /**
   * A face.
   *
   * @throws UnusableShapeException where its surface or a loop cannot be read
   */
  Face face(long id) {
    Statement statement = statement(document, id);
    Entity entity = statement.entities().getFirst();
    return switch (entity.name()) {
      case "ADVANCED_FACE", "FACE_SURFACE" -> face(statement, entity, yes(entity, 3));
      case "ORIENTED_FACE" -> oriented(statement, entity);
      default -> throw unusable(statement, "is no face");
    };
  }

  private Face oriented(Statement statement, Entity entity) {
    Statement inner = statement(document, entity.reference(2));
    Entity face = inner.entities().getFirst();
    if (!face.name().equals("ADVANCED_FACE") && !face.name().equals("FACE_SURFACE")) {
      throw unusable(statement, "turns what is no face");
    }
    Face read = face(inner, face, yes(face, 3));
    return yes(entity, 3) ? read : turned(read);
  }

  private static Face turned(Face face) {
    List<List<EdgeUse>> loops = face.loops().stream().map(FaceReader::turned).toList();
    return new Face(face.surface(), !face.outward(), loops, face.line());
  }

  private static List<EdgeUse> turned(List<EdgeUse> loop) {
    return loop.reversed().stream().map(use -> new EdgeUse(use.edge(), !use.forward())).toList();
  }

  private Face face(Statement statement, Entity entity, boolean sense) {
    ReadSurface whole = surfaces.surface(entity.reference(2));
    List<List<EdgeUse>> loops = new ArrayList<>();
    long before = used;
    for (long bound : references(entity.list(1))) {
      List<EdgeUse> loop = bound(bound);
      if (used - before > MOST_EDGES_OF_FACE) {
        throw unusable(statement, "more than %d edges around a face".formatted(MOST_EDGES_OF_FACE));
      }
      if (!loop.isEmpty()) {
        loops.add(loop);
      }
    }
    List<Vector3> there =
        loops.stream()
            .flatMap(List::stream)
            .flatMap(use -> Stream.of(use.at(0.5), use.at(0.3)))
            .toList();
    ReadSurface surface = whole.through(there);
    return new Face(surface.surface(), sense != surface.turned(there), loops, statement.line());
  }

  private List<EdgeUse> bound(long id) {
    Statement statement = statement(document, id);
    Entity bound = statement.entities().getFirst();
    if (!bound.name().equals("FACE_BOUND") && !bound.name().equals("FACE_OUTER_BOUND")) {
      throw unusable(statement, "bounds no face");
    }
    List<EdgeUse> loop = loop(bound.reference(1));
    return yes(bound, 2) ? loop : turned(loop);
  }

  private List<EdgeUse> loop(long id) {
    Statement statement = statement(document, id);
    refuseMore(statement);
    Entity loop = statement.entities().getFirst();
    return switch (loop.name()) {
      case "EDGE_LOOP" -> uses(counted(statement, references(loop.list(1))));
      case "POLY_LOOP" -> polygon(counted(statement, references(loop.list(1))));
      case "VERTEX_LOOP" -> List.of();
      default -> throw unusable(statement, "is no loop");
    };
  }

  private List<Long> counted(Statement loop, List<Long> ids) {
    used += ids.size();
    refuseMore(loop);
    return ids;
  }

  private void refuseMore(Statement loop) {
    if (used > MOST_USES) {
      throw unusable(loop, "the faces before it have %d edges already".formatted(MOST_USES));
    }
  }

  private List<EdgeUse> uses(List<Long> ids) {
    List<EdgeUse> uses = new ArrayList<>(ids.size());
    for (long id : ids) {
      uses.add(use(id));
    }
    return uses;
  }

  private List<EdgeUse> polygon(List<Long> corners) {
    List<EdgeUse> uses = new ArrayList<>();
    for (int i = 0; i < corners.size(); i++) {
      Vector3 from = points.point(corners.get(i));
      Vector3 to = points.point(corners.get((i + 1) % corners.size()));
      if (from.distance(to) > 1e-9) {
        uses.add(new EdgeUse(straight(from, to), true));
      }
    }
    return uses;
  }

  private static Edge straight(Vector3 from, Vector3 to) {
    return new Edge(new Line(from, to.minus(from)), 0, from.distance(to), from, to);
  }

  private EdgeUse use(long id) {
    Statement statement = statement(document, id);
    Entity entity = statement.entities().getFirst();
    return switch (entity.name()) {
      case "ORIENTED_EDGE" -> new EdgeUse(edge(entity.reference(3)), yes(entity, 4));
      case "EDGE_CURVE" -> new EdgeUse(edge(id), true);
      default -> throw unusable(statement, "is no edge");
    };
  }

  private Edge edge(long id) {
    Edge known = edges.get(id);
    if (known == null) {
      if (++edgesRead > MOST_EDGES) {
        throw unusable(
            statement(document, id), "the file has more than %d edges".formatted(MOST_EDGES));
      }
      known = read(id);
      edges.put(id, known);
    }
    return known;
  }

  private Edge read(long id) {
    Statement statement = statement(document, id);
    Entity entity = statement.entities().getFirst();
    if (!entity.name().equals("EDGE_CURVE")) {
      throw unusable(statement, "is no edge");
    }
    Vector3 start = points.vertex(entity.reference(1));
    Vector3 end = points.vertex(entity.reference(2));
    Curve curve;
    try {
      curve = curves.curve(entity.reference(3));
      count(statement, curve);
    } catch (UnusableShapeException unknown) {
      if (start.distance(end) < 1e-9) {
        throw unknown;
      }
      findings.add(
          unknown.line(),
          "curve-not-read",
          unknown.getMessage() + "; a straight line is taken from end to end");
      return straight(start, end);
    }
    return curve instanceof Line && start.distance(end) > 1e-12
        ? straight(start, end)
        : Edge.between(curve, start, end, yes(entity, 4));
  }

  private void count(Statement edge, Curve curve) {
    lookedAt += curve instanceof Polyline polyline ? polyline.points().size() : 0;
    if (lookedAt > MOST_LOOKED_AT) {
      throw unusable(edge, "is one of many on long polylines");
    }
  }
}
