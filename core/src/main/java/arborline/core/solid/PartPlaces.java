package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.real;
import static arborline.core.solid.ShapeArguments.statement;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Placement;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongFunction;

/**
 * Which representation stands in which, and where: by relationships with a transformation, by
 * mapped items, and without any motion. Source: ISO 10303-43 and -44.
 */
final class PartPlaces {

  /**
   * A representation within another one.
   *
   * @param placement that carries it there
   */
  record Part(long representation, Placement placement, double scale) {}

  private final Part21Document document;
  private final Set<Long> representations;
  private final LongFunction<ShapeUnits> units;
  private final BodyReader reader;
  private final Map<Long, List<Part>> parts = new HashMap<>();
  private final Set<Long> within = new HashSet<>();

  /** The child's product definition by the relationship between representations. */
  private final Map<Long, Long> childOf = new HashMap<>();

  private final Map<Long, Set<Long>> ofDefinition = new HashMap<>();

  PartPlaces(
      Part21Document document,
      Set<Long> representations,
      LongFunction<ShapeUnits> units,
      BodyReader reader) {
    this.document = document;
    this.representations = representations;
    this.units = units;
    this.reader = reader;
    document.named("SHAPE_DEFINITION_REPRESENTATION").forEach(this::product);
    document.named("CONTEXT_DEPENDENT_SHAPE_REPRESENTATION").forEach(this::usage);
    document.named("REPRESENTATION_RELATIONSHIP").forEach(this::relationship);
    document.named("SHAPE_REPRESENTATION_RELATIONSHIP").stream()
        .filter(statement -> statement.entities().size() == 1)
        .forEach(this::relationship);
    document.named("MAPPED_ITEM").forEach(this::mappedSource);
  }

  /** Representations that stand in no other one. */
  List<Long> roots() {
    List<Long> roots =
        representations.stream().filter(id -> !within.contains(id)).sorted().toList();
    return roots.isEmpty() ? representations.stream().sorted().limit(1).toList() : roots;
  }

  List<Part> parts(long representation) {
    return parts.getOrDefault(representation, List.of());
  }

  private void product(Statement statement) {
    statement
        .entity("SHAPE_DEFINITION_REPRESENTATION")
        .ifPresent(link ->
            document
                .instance(link.reference(0))
                .flatMap(shape -> shape.entity("PRODUCT_DEFINITION_SHAPE"))
                .ifPresent(shape ->
                    ofDefinition
                        .computeIfAbsent(shape.reference(2), key -> new HashSet<>())
                        .add(link.reference(1))));
  }

  private void usage(Statement statement) {
    statement
        .entity("CONTEXT_DEPENDENT_SHAPE_REPRESENTATION")
        .ifPresent(link ->
            document
                .instance(link.reference(1))
                .flatMap(shape -> shape.entity("PRODUCT_DEFINITION_SHAPE"))
                .flatMap(shape -> document.instance(shape.reference(2)))
                .flatMap(usage -> usage.entity("NEXT_ASSEMBLY_USAGE_OCCURRENCE"))
                .ifPresent(usage -> childOf.put(link.reference(0), usage.reference(4))));
  }

  private void relationship(Statement statement) {
    Entity relation =
        statement.entity("REPRESENTATION_RELATIONSHIP").orElseGet(() -> plain(statement));
    if (relation == null) {
      return;
    }
    long first = relation.reference(2);
    long second = relation.reference(3);
    if (!representations.contains(first) || !representations.contains(second)) {
      return;
    }
    Optional<Entity> transformed =
        statement.entity("REPRESENTATION_RELATIONSHIP_WITH_TRANSFORMATION");
    if (transformed.isEmpty()) {
      boolean solidFirst = statement(document, first).name().contains("BREP");
      add(
          solidFirst ? second : first,
          new Part(solidFirst ? first : second, Placement.IDENTITY, 1));
      return;
    }
    Entity with = transformed.get();
    long transformation = with.reference(with.arguments().size() - 1);
    boolean firstIsChild = !childIs(statement.id(), second);
    try {
      between(transformation, first, second)
          .ifPresent(motion ->
              add(
                  firstIsChild ? second : first,
                  firstIsChild
                      ? new Part(first, motion, 1)
                      : new Part(second, motion.inverse(), 1)));
    } catch (UnusableShapeException unusable) {
      add(
          firstIsChild ? second : first,
          new Part(firstIsChild ? first : second, Placement.IDENTITY, 1));
    }
  }

  private static Entity plain(Statement statement) {
    return statement
        .entity("SHAPE_REPRESENTATION_RELATIONSHIP")
        .filter(entity -> entity.arguments().size() >= 4)
        .orElse(null);
  }

  /** True where a relationship's child product is shown by a representation. */
  private boolean childIs(long relationship, long representation) {
    return ofDefinition
        .getOrDefault(childOf.getOrDefault(relationship, 0L), Set.of())
        .contains(representation);
  }

  private void add(long parent, Part part) {
    if (parent != part.representation()) {
      parts.computeIfAbsent(parent, key -> new ArrayList<>()).add(part);
      within.add(part.representation());
    }
  }

  /** The motion from the first representation's frame to the second's. */
  private Optional<Placement> between(long transformation, long first, long second) {
    return document
        .instance(transformation)
        .flatMap(statement -> statement.entity("ITEM_DEFINED_TRANSFORMATION"))
        .map(items ->
            frame(items.reference(2), first).inverse().then(frame(items.reference(3), second)));
  }

  private Placement frame(long id, long representation) {
    return reader.faces(units.apply(representation)).points().placement(id);
  }

  private void mappedSource(Statement statement) {
    if (statement.entity("MAPPED_ITEM").isPresent()) {
      mapped(statement).ifPresent(part -> within.add(part.representation()));
    }
  }

  /** What a mapped item stands for. */
  Optional<Part> mapped(Statement item) {
    Entity mapped = item.entity("MAPPED_ITEM").orElseThrow();
    Optional<Entity> map =
        document
            .instance(mapped.reference(1))
            .map(statement -> statement.entities().getFirst())
            .filter(entity -> entity.name().endsWith("REPRESENTATION_MAP"));
    if (map.isEmpty() || !representations.contains(map.get().reference(1))) {
      return Optional.empty();
    }
    long source = map.get().reference(1);
    try {
      Placement origin = frame(map.get().reference(0), source);
      Target target = target(mapped.reference(2), source);
      return Optional.of(
          new Part(source, origin.inverse().then(target.placement()), target.scale()));
    } catch (UnusableShapeException unusable) {
      return Optional.of(new Part(source, Placement.IDENTITY, 1));
    }
  }

  private record Target(Placement placement, double scale) {}

  private Target target(long id, long representation) {
    Statement statement = statement(document, id);
    Optional<Entity> operator = statement.entity("CARTESIAN_TRANSFORMATION_OPERATOR_3D");
    if (operator.isEmpty()) {
      return new Target(frame(id, representation), 1);
    }
    Entity entity = operator.get();
    int at = statement.entities().size() == 1 ? 1 : 0;
    PlacedPoints points = reader.faces(units.apply(representation)).points();
    Vector3 x = entity.reference(at) == 0 ? Vector3.X : points.direction(entity.reference(at));
    int last = entity.arguments().size() - 1;
    Vector3 z = entity.reference(last) == 0 ? Vector3.Z : points.direction(entity.reference(last));
    Argument scale = entity.at(at + 3);
    return new Target(
        Placement.of(points.point(entity.reference(at + 2)), z, x),
        scale instanceof Argument.Number ? real(statement, scale) : 1);
  }
}
