package arborline.core.solid;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import arborline.core.quantity.UnitKind;
import arborline.core.stack.Bodies;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/** Sizes of an item that its own model contradicts: length, largest diameter, shank. */
public final class ModelComparison {

  /** Models are drawn with small liberties: so far they may lie beside what is written, mm. */
  private static final double LENGTH = 0.1;

  private static final double DIAMETER = 0.05;
  private static final List<String> DIAMETERS =
      List.of("DC", "DCX", "DMM", "BD", "DCONMS", "DC1", "DC2", "DC3", "DN", "TD");

  /** A model may end with the body, without the shank behind it. */
  private static final List<String> BODIES = List.of("BD", "BDX");

  private ModelComparison() {}

  /**
   * What the model says otherwise, each to be asked; nothing of what is not turned, and of several
   * bodies together.
   */
  public static List<Finding> of(RawItem item, SolidReading reading) {
    List<Finding> findings = new ArrayList<>();
    if (reading.turned().isEmpty() || reading.bodies() > 1) {
      return findings;
    }
    TurnedShape shape = reading.turned().get();
    size(item, "OAL")
        .filter(length -> Math.abs(length - shape.length()) > LENGTH)
        .ifPresent(length ->
            findings.add(
                contradicted("model-length", "OAL", length, "is %s mm long", shape.length())));
    front(item, shape)
        .ifPresent(front ->
            size(item, "LPR")
                .filter(length -> Math.abs(length - front) > LENGTH)
                .ifPresent(length ->
                    findings.add(
                        contradicted(
                            "model-length",
                            "LPR",
                            length,
                            "stands %s mm out of its gauge plane",
                            front))));
    widest(item)
        .filter(widest -> Math.abs(widest.getValue() - shape.diameter()) > DIAMETER)
        .ifPresent(widest ->
            findings.add(
                contradicted(
                    "model-diameter",
                    widest.getKey(),
                    widest.getValue(),
                    "is \u00f8%s mm at its widest",
                    shape.diameter())));
    Optional<Double> shank = shank(shape);
    boolean body =
        BODIES.stream()
            .flatMap(symbol -> size(item, symbol).stream())
            .anyMatch(size -> shank.isPresent() && Math.abs(size - shank.get()) <= DIAMETER);
    size(item, "DMM")
        .filter(
            diameter -> shank.isPresent() && !body && Math.abs(diameter - shank.get()) > DIAMETER)
        .ifPresent(diameter ->
            findings.add(
                contradicted(
                    "model-shank", "DMM", diameter, "has a shank of \u00f8%s mm", shank.get())));
    return findings;
  }

  /**
   * What the model of a whole stack says otherwise: how far it stands out of its gauge plane;
   * nothing where its connection is not recognised or no length is written.
   */
  public static Optional<Finding> ofStack(RawItem stack, SolidReading reading) {
    OptionalDouble front =
        reading.turned().map(TurnedShape::gauge).orElseGet(OptionalDouble::empty);
    return size(stack, StackReading.LENGTH)
        .filter(length -> front.isPresent() && Math.abs(length - front.getAsDouble()) > LENGTH)
        .map(length ->
            Finding.query(
                "model-assembly",
                "%s is said to stand %s mm out of its gauge plane, but its model stands %s mm out"
                    .formatted(
                        stack.text(RawItem.NAME), number(length), number(front.getAsDouble())),
                StackReading.OVERHANG));
  }

  /**
   * The cylinders and cones of a holder or another part as its model has them, in front of the
   * gauge plane or as far as it is said to stand out; nothing where they are written, where the
   * model contradicts the sizes, or where it is not turned.
   */
  public static Optional<String> bodies(RawItem item, SolidReading reading) {
    Optional<TurnedShape> shape = reading.turned().filter(turned -> reading.bodies() == 1);
    boolean wanted =
        item.kind().component().isPresent()
            && item.kind() != ItemKind.COLLET
            && item.text(PartReading.BODIES).isEmpty();
    if (!wanted || shape.isEmpty() || !of(item, reading).isEmpty()) {
      return Optional.empty();
    }
    double end =
        size(item, "LPR").or(() -> front(item, shape.get())).orElseGet(() -> shape.get().length());
    return Optional.of(Bodies.text(PartBodies.of(shape.get(), end)))
        .filter(text -> !text.isEmpty());
  }

  /** How far a part stands out of its gauge plane; nothing for what has none. */
  private static Optional<Double> front(RawItem item, TurnedShape shape) {
    return item.kind().component().isPresent() && shape.gauge().isPresent()
        ? Optional.of(shape.gauge().getAsDouble())
        : Optional.empty();
  }

  private static Finding contradicted(
      String code, String symbol, double written, String says, double solid) {
    return Finding.query(
        code,
        "%s is %s mm, but its model %s"
            .formatted(symbol, number(written), says.formatted(number(solid))),
        symbol);
  }

  private static String number(double value) {
    return Dimensions.plain(value, 3).toPlainString();
  }

  private static Optional<Map.Entry<String, Double>> widest(RawItem item) {
    Map<String, Double> sizes = new TreeMap<>();
    boolean part = item.kind().component().isPresent();
    (part ? List.of("BDX") : DIAMETERS)
        .forEach(symbol -> size(item, symbol).ifPresent(diameter -> sizes.put(symbol, diameter)));
    return sizes.entrySet().stream().max(Comparator.comparingDouble(Map.Entry::getValue));
  }

  /** The diameter of the last cylinder towards the machine, behind a chamfer at most. */
  private static Optional<Double> shank(TurnedShape shape) {
    return EndCylinder.of(Span.of(shape.profile()).reversed(), shape.length())
        .map(span -> 2 * span.r0());
  }

  /** A length of an item, mm. */
  private static Optional<Double> size(RawItem item, String symbol) {
    Cell cell = item.cells().get(symbol);
    if (cell == null || cell.blank()) {
      return Optional.empty();
    }
    return EntryParser.parse(cell.text(), cell.unit().orElse(Unit.MILLIMETRE))
                instanceof Entry.Understood understood
            && understood.quantity().unit().kind() == UnitKind.LENGTH
        ? Optional.of(understood.quantity().in(Unit.MILLIMETRE).doubleValue())
        : Optional.empty();
  }
}
