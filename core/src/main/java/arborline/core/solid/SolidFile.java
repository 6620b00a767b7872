package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.references;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Placement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Reads the bodies of a file where they stand. Source: ISO 10303-203, -214 and -242. */
final class SolidFile {

  private static final int DEEPEST = 32;
  private static final int MOST_BODIES = 1000;
  private static final int MOST_PLACES = 20_000;

  private final Part21Document document;
  private final ShapeContexts contexts;
  private final SolidFindings findings = new SolidFindings();
  private final BodyReader reader;
  private final PartPlaces parts;
  private final Map<Long, Statement> representations = new HashMap<>();
  private final List<Body> bodies = new ArrayList<>();
  private final Set<Long> placed = new HashSet<>();
  private ShapeUnits units = ShapeUnits.MILLIMETRES;
  private int places;

  private SolidFile(Part21Document document) {
    this.document = document;
    this.contexts = new ShapeContexts(document);
    this.reader = new BodyReader(document, findings);
    for (String name : document.names()) {
      if (name.endsWith("REPRESENTATION")) {
        document.named(name).stream()
            .filter(SolidFile::isRepresentation)
            .forEach(statement -> representations.put(statement.id(), statement));
      }
    }
    this.parts = new PartPlaces(document, representations.keySet(), this::unitsOf, reader);
  }

  /**
   * Reads a file.
   *
   * @throws UnreadableFileException where it is no exchange file
   */
  static SolidModel read(byte[] file) throws UnreadableFileException {
    Part21Document document = Part21Document.read(file);
    SolidFile solids = new SolidFile(document);
    document
        .faults()
        .forEach(fault -> solids.findings.add(fault.line(), fault.kind(), fault.message()));
    solids.read();
    return new SolidModel(
        List.copyOf(solids.bodies), solids.units.name(), schema(document), solids.findings.all());
  }

  private static boolean isRepresentation(Statement statement) {
    String name = statement.name();
    return name.endsWith("REPRESENTATION")
        && !name.contains("DEFINITION_REPRESENTATION")
        && !name.equals("CONTEXT_DEPENDENT_SHAPE_REPRESENTATION")
        && !statement.entities().getFirst().list(1).isEmpty();
  }

  private ShapeUnits unitsOf(long representation) {
    return contexts.of(
        ShapeArguments.statement(document, representation).entities().getFirst().reference(2));
  }

  private void read() {
    for (long root : parts.roots()) {
      place(root, Placement.IDENTITY, 1, 0, new HashSet<>());
    }
    for (String name : BodyReader.ITEMS) {
      for (Statement statement : document.named(name)) {
        if (!placed.contains(statement.id())) {
          add(statement, units, Placement.IDENTITY);
        }
      }
    }
    if (!bodies.isEmpty() && !units.written()) {
      findings.add(0, "unit-not-written", "the file names no unit of length; mm are taken");
    }
    if (bodies.isEmpty()) {
      findings.add(0, "no-solid", "the file holds no solid and no surface with faces");
    }
  }

  private void place(
      long representation, Placement placement, double scale, int depth, Set<Long> above) {
    if (++places > MOST_PLACES) {
      if (places == MOST_PLACES + 1) {
        findings.add(0, "too-many-parts", "more than %d placed parts".formatted(MOST_PLACES));
      }
      return;
    }
    Statement statement = representations.get(representation);
    if (statement == null || depth > DEEPEST || !above.add(representation)) {
      findings.add(
          statement == null ? 0 : statement.line(),
          "assembly-cycle",
          "#%d holds itself, or parts too deep in one another".formatted(representation));
      return;
    }
    ShapeUnits here = unitsOf(representation);
    if (here.written() && !units.written()) {
      units = here;
    }
    for (long id : references(statement.entities().getFirst().list(1))) {
      document
          .instance(id)
          .ifPresent(item -> item(item, here.scaled(scale), placement, scale, depth, above));
    }
    for (PartPlaces.Part part : parts.parts(representation)) {
      place(
          part.representation(),
          part.placement().then(placement),
          scale * part.scale(),
          depth + 1,
          above);
    }
    above.remove(representation);
  }

  private void item(
      Statement item,
      ShapeUnits here,
      Placement placement,
      double scale,
      int depth,
      Set<Long> above) {
    if (BodyReader.is(item)) {
      placed.add(item.id());
      add(item, here, placement);
    } else if (item.entity("MAPPED_ITEM").isPresent()) {
      parts
          .mapped(item)
          .ifPresent(part ->
              place(
                  part.representation(),
                  part.placement().then(placement),
                  scale * part.scale(),
                  depth + 1,
                  above));
    }
  }

  private void add(Statement item, ShapeUnits here, Placement placement) {
    placed.add(item.id());
    if (bodies.size() >= MOST_BODIES) {
      findings.add(item.line(), "too-many-bodies", "more than %d bodies".formatted(MOST_BODIES));
      return;
    }
    bodies.addAll(reader.bodies(item, here, placement));
  }

  private static String schema(Part21Document document) {
    String name =
        document
            .header("FILE_SCHEMA")
            .map(Entity::arguments)
            .flatMap(arguments ->
                arguments.stream()
                    .flatMap(argument ->
                        argument instanceof Argument.Several several
                            ? several.of().stream()
                            : Stream.of(argument))
                    .filter(Argument.Text.class::isInstance)
                    .map(argument -> ((Argument.Text) argument).value())
                    .findFirst())
            .orElse("")
            .toUpperCase(Locale.ROOT);
    if (name.startsWith("CONFIG_CONTROL_DESIGN") || name.startsWith("AP203")) {
      return "AP203";
    }
    if (name.startsWith("AUTOMOTIVE_DESIGN")) {
      return "AP214";
    }
    return name.startsWith("AP242") ? "AP242" : name;
  }
}
