package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.references;

import arborline.core.part21.Entity;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Bodies of a file: solids, solids with hollows, and shells. Source: ISO 10303-42. */
final class BodyReader {

  /** Items of a representation that are bodies. */
  static final List<String> ITEMS =
      List.of(
          "MANIFOLD_SOLID_BREP",
          "BREP_WITH_VOIDS",
          "FACETED_BREP",
          "SHELL_BASED_SURFACE_MODEL",
          "FACE_BASED_SURFACE_MODEL");

  private static final int MOST_FACES = 200_000;

  private final Part21Document document;
  private final SolidFindings findings;
  private final Map<ShapeUnits, FaceReader> readers = new HashMap<>();
  private int faces;

  BodyReader(Part21Document document, SolidFindings findings) {
    this.document = document;
    this.findings = findings;
  }

  FaceReader faces(ShapeUnits units) {
    return readers.computeIfAbsent(units, key -> new FaceReader(document, key, findings));
  }

  /** True for an item of a representation that is a body, or several. */
  static boolean is(Statement item) {
    return ITEMS.stream().anyMatch(name -> item.entity(name).isPresent());
  }

  /** The bodies of an item, placed. */
  List<Body> bodies(Statement item, ShapeUnits units, Placement placement) {
    List<Body> bodies = new ArrayList<>();
    for (List<Long> shells : shells(item)) {
      body(item, shells, units, placement).ifPresent(bodies::add);
    }
    return bodies;
  }

  /** For each body its shells. */
  private List<List<Long>> shells(Statement item) {
    Entity first = item.entities().getFirst();
    Optional<Entity> brep = item.entity("MANIFOLD_SOLID_BREP");
    Optional<Entity> hollow = item.entity("BREP_WITH_VOIDS");
    boolean whole = item.entities().size() == 1;
    if (first.name().endsWith("SURFACE_MODEL")) {
      return references(first.list(1)).stream().map(List::of).toList();
    }
    List<Long> shells = new ArrayList<>();
    shells.add(whole ? first.reference(1) : brep.map(entity -> entity.reference(0)).orElse(0L));
    hollow.ifPresent(voids -> shells.addAll(references(voids.list(whole ? 2 : 0))));
    return List.of(shells);
  }

  private Optional<Body> body(
      Statement item, List<Long> shells, ShapeUnits units, Placement placement) {
    List<Face> read = new ArrayList<>();
    boolean closed = true;
    for (long shell : shells) {
      Optional<Shell> known = shell(item, shell);
      if (known.isEmpty()) {
        return Optional.empty();
      }
      closed &= known.get().closed();
      for (long face : known.get().faces()) {
        face(face, units).ifPresent(read::add);
      }
    }
    if (read.isEmpty()) {
      findings.add(item.line(), "no-faces", "#%d has no face".formatted(item.id()));
      return Optional.empty();
    }
    if (!closed) {
      findings.add(
          item.line(),
          "open-shell",
          "#%d is an open shell: its faces enclose nothing".formatted(item.id()));
    }
    return Optional.of(new Body(item.entities().getFirst().text(0), read, closed, placement));
  }

  private record Shell(boolean closed, List<Long> faces) {}

  private Optional<Shell> shell(Statement item, long id) {
    Optional<Statement> statement = document.instance(id);
    Entity entity = statement.map(found -> found.entities().getFirst()).orElse(null);
    if (entity != null && entity.name().equals("ORIENTED_CLOSED_SHELL")) {
      statement = document.instance(entity.reference(2));
      entity = statement.map(found -> found.entities().getFirst()).orElse(null);
    }
    if (entity == null || !entity.name().endsWith("SHELL") && !entity.name().endsWith("FACE_SET")) {
      findings.add(item.line(), "no-shell", "#%d has no shell".formatted(item.id()));
      return Optional.empty();
    }
    List<Long> faces = references(entity.list(1)).stream().distinct().toList();
    return Optional.of(new Shell(entity.name().equals("CLOSED_SHELL"), faces));
  }

  private Optional<Face> face(long id, ShapeUnits units) {
    if (++faces > MOST_FACES) {
      findings.add(0, "too-many-faces", "more than %d faces".formatted(MOST_FACES));
      return Optional.empty();
    }
    try {
      return Optional.of(faces(units).face(id));
    } catch (UnusableShapeException unusable) {
      long line =
          unusable.line() > 0
              ? unusable.line()
              : document.instance(id).map(Statement::line).orElse(0L);
      findings.add(line, "face-not-read", "a face is left out: " + unusable.getMessage());
      return Optional.empty();
    }
  }
}
