package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.stack.Bodies;
import arborline.core.stack.Component;
import arborline.core.stack.Frustum;
import arborline.core.stack.Material;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/** Parts of stacks out of cells, and back. */
public final class PartReading {

  public static final String MACHINE_SIDE = "CCMS";
  public static final String WORK_SIDE = "CCWS";

  /** Cylinders and cones, as {@link Bodies} writes them. */
  public static final String BODIES = "BODIES";

  public static final String BODY_MATERIAL = "BODYMATERIAL";

  /** Least length that a shank must be held by. */
  public static final String CLAMPING = "LSC";

  public static final String AXIS_ANGLE = "AXISANGLE";
  public static final String AXIS_AT = "AXISAT";
  public static final String AXIS_OUT = "AXISOUT";

  private static final Set<String> OWN =
      Set.of(
          RawItem.CODE,
          RawItem.NAME,
          RawItem.CLASS,
          RawItem.NUMBER,
          RawItem.SECTION,
          RawItem.ATTACHMENT,
          MACHINE_SIDE,
          WORK_SIDE,
          BODIES,
          BODY_MATERIAL,
          CLAMPING,
          AXIS_ANGLE,
          AXIS_AT,
          AXIS_OUT);

  private PartReading() {}

  /**
   * What was understood.
   *
   * @param findings about single cells; what a part must have is asked by itself
   */
  public record Interpreted(Component component, List<Finding> findings) {}

  /** Reads a holder, an extension, a collet, an arbor or an aggregate. */
  public static Interpreted interpret(RawItem raw, Component.Kind kind) {
    List<Finding> findings = new ArrayList<>(raw.findings());
    Component component =
        new Component(
            raw.text(RawItem.CODE),
            raw.text(RawItem.NAME),
            kind,
            raw.text(MACHINE_SIDE),
            raw.text(WORK_SIDE),
            bodies(raw, findings),
            material(raw, findings),
            length(raw, CLAMPING, findings).orElse(BigDecimal.ZERO),
            turn(raw, findings),
            properties(raw, findings));
    return new Interpreted(component, findings);
  }

  private static List<Frustum> bodies(RawItem raw, List<Finding> findings) {
    String text = raw.text(BODIES);
    if (text.isEmpty()) {
      return List.of();
    }
    Optional<List<Frustum>> read = Bodies.read(text);
    if (read.isEmpty()) {
      findings.add(
          Finding.hold(
              "bodies-unreadable",
              "'%s': write each cylinder as length x diameter, each cone as length x from-to"
                  .formatted(text),
              BODIES));
    }
    return read.orElse(List.of());
  }

  private static Material material(RawItem raw, List<Finding> findings) {
    String text = raw.text(BODY_MATERIAL).toUpperCase(Locale.ROOT).replace(' ', '_');
    for (Material material : Material.values()) {
      if (material.name().equals(text)) {
        return material;
      }
    }
    if (!text.isEmpty()) {
      findings.add(
          Finding.query(
              "material-unknown",
              "'%s' is no material of parts that we know: taken as steel"
                  .formatted(raw.text(BODY_MATERIAL)),
              BODY_MATERIAL));
    }
    return Material.STEEL;
  }

  private static Optional<Component.Turn> turn(RawItem raw, List<Finding> findings) {
    Optional<BigDecimal> angle = number(raw, AXIS_ANGLE, Unit.DEGREE, findings);
    return angle.map(stated ->
        new Component.Turn(
            stated,
            length(raw, AXIS_AT, findings).orElse(null),
            length(raw, AXIS_OUT, findings).orElse(null)));
  }

  private static Optional<BigDecimal> length(RawItem raw, String symbol, List<Finding> findings) {
    return number(raw, symbol, Unit.MILLIMETRE, findings);
  }

  private static Optional<BigDecimal> number(
      RawItem raw, String symbol, Unit unit, List<Finding> findings) {
    Cell cell = raw.cells().get(symbol);
    if (cell == null || cell.text().isBlank()) {
      return Optional.empty();
    }
    return switch (EntryParser.parse(cell.text(), cell.unit().orElse(unit))) {
      case Entry.Understood understood when understood.quantity().unit().kind() == unit.kind() ->
          Optional.of(understood.quantity().in(unit));
      case Entry.Understood other -> refused(symbol, cell, "does not measure it", findings);
      case Entry.Refused refused -> refused(symbol, cell, refused.reason(), findings);
    };
  }

  private static Optional<BigDecimal> refused(
      String symbol, Cell cell, String reason, List<Finding> findings) {
    findings.add(
        Finding.hold(
            "not-a-number", "%s '%s': %s".formatted(symbol, cell.text().strip(), reason), symbol));
    return Optional.empty();
  }

  private static SortedMap<String, String> properties(RawItem raw, List<Finding> findings) {
    SortedMap<String, String> properties = new TreeMap<>();
    raw.cells()
        .forEach((symbol, cell) -> {
          if (!OWN.contains(symbol) && !RawItem.isNote(symbol) && !cell.text().isBlank()) {
            property(symbol, cell, findings).ifPresent(text -> properties.put(symbol, text));
          }
        });
    return properties;
  }

  private static Optional<String> property(String symbol, Cell cell, List<Finding> findings) {
    Optional<Property> known = Dictionary.standard().find(symbol);
    if (known.isEmpty()) {
      findings.add(
          Finding.note(
              "property.unknown",
              "'%s' is not a property that we know; '%s' is not carried by a part"
                  .formatted(symbol, cell.text()),
              symbol));
      return Optional.empty();
    }
    if (!known.get().numeric()) {
      return Optional.of(cell.text().strip());
    }
    Unit unit = cell.unit().orElseGet(() -> known.get().unit().orElseThrow());
    return switch (EntryParser.parse(cell.text(), unit, known.get()::accepts)) {
      case Entry.Understood understood -> Optional.of(understood.quantity().toString());
      case Entry.Refused refused -> {
        refused(symbol, cell, refused.reason(), findings);
        yield Optional.empty();
      }
    };
  }

  /** The cells that bring a part back. */
  public static RawItem of(Component component) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    put(cells, RawItem.CODE, component.code());
    put(cells, RawItem.NAME, component.name());
    put(cells, MACHINE_SIDE, component.machineSide());
    put(cells, WORK_SIDE, component.workSide());
    put(cells, BODIES, Bodies.text(component.bodies()));
    put(
        cells,
        BODY_MATERIAL,
        component.material().name().toLowerCase(Locale.ROOT).replace('_', ' '));
    if (component.clamping().signum() != 0) {
      cells.put(CLAMPING, number(component.clamping(), Unit.MILLIMETRE));
    }
    component
        .turn()
        .ifPresent(turn -> {
          cells.put(AXIS_ANGLE, number(turn.angle(), Unit.DEGREE));
          cells.put(AXIS_AT, number(turn.at(), Unit.MILLIMETRE));
          cells.put(AXIS_OUT, number(turn.out(), Unit.MILLIMETRE));
        });
    component.properties().forEach((symbol, text) -> cells.put(symbol, property(symbol, text)));
    return new RawItem(0, ItemKind.of(component.kind()), cells, List.of());
  }

  private static void put(SortedMap<String, Cell> cells, String symbol, String text) {
    if (!text.isBlank()) {
      cells.put(symbol, Cell.of(text));
    }
  }

  private static Cell number(BigDecimal number, Unit unit) {
    return Cell.of(number.stripTrailingZeros().toPlainString(), unit);
  }

  private static Cell property(String symbol, String text) {
    Property property = Dictionary.standard().get(symbol);
    if (property.numeric()
        && EntryParser.parse(text, property.unit().orElseThrow(), property::accepts)
            instanceof Entry.Understood understood) {
      Quantity quantity = understood.quantity();
      return Cell.of(quantity.text(), quantity.unit());
    }
    return Cell.of(text);
  }
}
