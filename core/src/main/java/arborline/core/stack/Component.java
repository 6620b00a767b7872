package arborline.core.stack;

import arborline.core.connection.Connection;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A holder, extension, collet or arbor.
 *
 * @param machineSide connection code CCMS: what it is put into
 * @param workSide connection code CCWS: what it takes
 * @param bodies what stands in front of its own gauge plane or front face, machine side first
 * @param clamping least length that a shank must be held by, mm
 * @param turn how an aggregate, or a block for a turret, turns the axis; empty for what goes
 *     straight on
 * @param properties what else is known, by symbol, each with its unit: {@code RPMX} to {@code 20000
 *     1/min}
 */
public record Component(
    String code,
    String name,
    Kind kind,
    String machineSide,
    String workSide,
    List<Frustum> bodies,
    Material material,
    BigDecimal clamping,
    Optional<Turn> turn,
    SortedMap<String, String> properties) {

  public Component {
    code = code == null ? "" : code;
    name = name == null ? "" : name;
    machineSide = machineSide == null ? "" : machineSide;
    workSide = workSide == null ? "" : workSide;
    bodies = bodies == null ? List.of() : List.copyOf(bodies);
    material = material == null ? Material.STEEL : material;
    turn = turn == null ? Optional.empty() : turn;
    properties =
        Collections.unmodifiableSortedMap(
            properties == null ? new TreeMap<>() : new TreeMap<>(properties));
  }

  /** A component of which nothing else is known. */
  public Component(
      String code,
      String name,
      Kind kind,
      String machineSide,
      String workSide,
      List<Frustum> bodies,
      Material material,
      BigDecimal clamping,
      Optional<Turn> turn) {
    this(
        code, name, kind, machineSide, workSide, bodies, material, clamping, turn, new TreeMap<>());
  }

  /** A component that goes straight on. */
  public Component(
      String code,
      String name,
      Kind kind,
      String machineSide,
      String workSide,
      List<Frustum> bodies,
      Material material,
      BigDecimal clamping) {
    this(code, name, kind, machineSide, workSide, bodies, material, clamping, Optional.empty());
  }

  /** What it does in a stack. */
  public enum Kind {
    HOLDER,
    EXTENSION,
    COLLET,
    ARBOR,
    AGGREGATE
  }

  /**
   * Where and how the axis turns.
   *
   * @param angle between the axes, degrees
   * @param at from the gauge plane to where they cross, mm
   * @param out from there to the face of the workpiece side, mm
   */
  public record Turn(BigDecimal angle, BigDecimal at, BigDecimal out) {

    private static final BigDecimal MOST = BigDecimal.valueOf(120);

    boolean sound() {
      return angle != null
          && at != null
          && out != null
          && angle.signum() > 0
          && angle.compareTo(MOST) <= 0
          && at.signum() > 0
          && at.compareTo(LARGEST) < 0
          && out.signum() >= 0
          && out.compareTo(LARGEST) < 0;
    }
  }

  private static final String TURRET = "VD-";
  private static final int LONGEST = 60;
  private static final BigDecimal LARGEST = BigDecimal.valueOf(1000);

  /** Its cylinders and cones for computation. */
  List<Body> shape() {
    return bodies.stream().map(Frustum::body).toList();
  }

  /** What is wrong with it by itself. */
  public List<Finding> findings() {
    List<Finding> findings = new ArrayList<>();
    if (code.isBlank() || code.contains(" ")) {
      findings.add(
          Finding.hold("component-code", "the code must be given, without blanks", "CODE"));
    }
    connection("CCMS", machineSide, false, findings);
    connection("CCWS", workSide, true, findings);
    if (bodies.isEmpty() && kind != Kind.COLLET) {
      findings.add(Finding.hold("component-body", "give at least one cylinder or cone", "BODIES"));
    }
    for (int i = 0; i < bodies.size(); i++) {
      if (!bodies.get(i).sound(LARGEST)) {
        findings.add(
            Finding.hold(
                "component-body",
                "row %d: length and diameters must be above 0 and below 1000 mm".formatted(i + 1),
                "BODIES"));
      }
    }
    if (clamping == null || clamping.signum() < 0 || clamping.compareTo(LARGEST) > 0) {
      findings.add(
          Finding.hold("component-clamping", "clamping length must be 0 to 1000 mm", "LSC"));
    }
    if (turn.isPresent() ? !mayTurn() : kind == Kind.AGGREGATE) {
      findings.add(
          Finding.hold(
              "component-turn",
              "an aggregate turns the axis, a block for a turret may: give angle, crossing and"
                  + " reach; nothing else does",
              "AXISANGLE"));
    }
    if (turn.filter(change -> !change.sound()).isPresent()) {
      findings.add(
          Finding.hold(
              "component-turn",
              "the axis turns by more than 0 and at most 120 deg, at and out within 1000 mm",
              "AXISANGLE"));
    }
    properties(findings);
    return findings;
  }

  private boolean mayTurn() {
    return mayTurn(kind, machineSide);
  }

  /** Aggregates turn the axis, and holders for turrets can, such as one for a shank across. */
  public static boolean mayTurn(Kind kind, String machineSide) {
    return kind == Kind.AGGREGATE || kind == Kind.HOLDER && machineSide.startsWith(TURRET);
  }

  private void properties(List<Finding> findings) {
    properties.forEach((symbol, text) -> {
      Optional<Property> property = Dictionary.standard().find(symbol);
      boolean sound =
          text != null
              && text.length() <= LONGEST
              && property
                  .filter(known ->
                      known
                          .unit()
                          .map(unit -> EntryParser.parse(text, unit, known::accepts))
                          .filter(Entry.Refused.class::isInstance)
                          .isEmpty())
                  .isPresent();
      if (!sound) {
        findings.add(
            Finding.hold(
                "component-property",
                "%s '%s' is not a property with its value, such as RPMX 20000 1/min"
                    .formatted(symbol, text),
                symbol));
      }
    });
  }

  private static void connection(
      String symbol, String code, boolean socket, List<Finding> findings) {
    Connection.Read read = Connection.read(code);
    String male = "AR";
    if (code.isBlank()) {
      findings.add(
          Finding.hold(
              "component-connection",
              "the connection to the %s (%s) is not given yet: write it as %s"
                  .formatted(
                      socket ? "workpiece" : "machine",
                      symbol,
                      socket ? "CY-HY-12:f" : "ST-A-40:m"),
              symbol));
    } else if (read.connection().isEmpty()) {
      findings.add(
          Finding.hold(
              "component-connection", "%s '%s': %s".formatted(symbol, code, read.fault()), symbol));
    } else if (read.connection().get().socket() != socket
        && !read.connection().get().family().id().equals(male)) {
      findings.add(
          Finding.hold(
              "component-connection",
              "%s '%s' must be a %s".formatted(symbol, code, socket ? "socket (f)" : "shank (m)"),
              symbol));
    }
  }
}
