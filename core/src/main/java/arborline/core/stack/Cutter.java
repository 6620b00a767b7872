package arborline.core.stack;

import arborline.core.tool.Completed;
import arborline.core.tool.Motion;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A cutter as the last part of a stack.
 *
 * @param connection code of what it is held by
 * @param bodies from shank end to tip
 * @param fluted length from the tip that is weakened by flutes, mm
 * @param diameter largest cutting diameter, mm
 * @param usable length LU that is to stand free, else that of the flutes, mm
 * @param point how far a drill's point stands beyond its corners, mm; 0 without a point
 * @param plan of a turning tool, from the end of its shank on; empty for what is round
 */
public record Cutter(
    String code,
    String connection,
    List<Body> bodies,
    Material material,
    double fluted,
    double diameter,
    double usable,
    double point,
    List<Part> plan) {

  public Cutter {
    bodies = List.copyOf(bodies);
    plan = List.copyOf(plan);
  }

  /** A cutter that is a solid of revolution. */
  public Cutter(
      String code,
      String connection,
      List<Body> bodies,
      Material material,
      double fluted,
      double diameter,
      double usable,
      double point) {
    this(code, connection, bodies, material, fluted, diameter, usable, point, List.of());
  }

  private static final double FREE = 3;
  private static final List<String> MOUNTED = List.of("CICT", "MIID");
  private static final Set<String> CARBIDES = Set.of("HC", "HW", "HF");
  private static final List<String> CARBIDE_WORDS = List.of("CARBIDE", "VHM");
  private static final List<String> LENGTHS = List.of("OAL", "LF", "LPR", "KERF");

  /**
   * A cutter from its sheet; empty where its length is not known, where it has no outline, or
   * neither is a solid of revolution nor has a shank.
   */
  public static Optional<Cutter> of(Tool written) {
    Tool tool = Completed.of(written).tool();
    boolean disc = tool.has("CW") && tool.has("DCONMS");
    return disc || LENGTHS.stream().anyMatch(tool::has) ? shaped(tool) : Optional.empty();
  }

  private static Optional<Cutter> shaped(Tool tool) {
    return Silhouettes.of(tool)
        .flatMap(outline ->
            outline.parts().stream().noneMatch(Part::flat)
                ? Optional.of(of(tool, outline))
                : TurningCutter.of(tool, outline, material(tool)));
  }

  private static Cutter of(Tool tool, Outline outline) {
    List<Body> bodies = new ArrayList<>();
    double fluted = 0;
    for (Part part : outline.parts()) {
      List<Point> profile = part.profile();
      for (int i = 1; i < profile.size(); i++) {
        Point from = profile.get(i - 1);
        Point to = profile.get(i);
        if (to.z() > from.z()) {
          bodies.add(new Body(to.z() - from.z(), 2 * from.r(), 2 * to.r()));
        }
      }
      boolean edged = part.kind() == Part.Kind.CUTTING || part.kind() == Part.Kind.FLUTES;
      fluted += edged ? profile.getLast().z() - profile.getFirst().z() : 0;
    }
    return new Cutter(
        tool.code(),
        connection(tool),
        bodies,
        material(tool),
        fluted,
        tool.approx("DCX", tool.approx("DC", outline.diameter())),
        tool.approx("LU", tool.approx("LCF", tool.approx("APMX", 0))),
        point(tool));
  }

  /**
   * How far it usually stands out of what holds it, whole mm: its usable length and 3 mm more, as
   * far as it can be clamped.
   *
   * @param clamped least length that what holds it needs, mm
   */
  public double usualOverhang(double clamped) {
    if (!clampedByShank()) {
      return length();
    }
    double free = usable > 0 ? usable + FREE : length() / 2;
    return Math.max(1, Math.floor(Math.min(Math.ceil(free), length() - clamped)));
  }

  /** True where a round or square shank is clamped, so that its overhang can be chosen. */
  public boolean clampedByShank() {
    return connection.startsWith("CY") || connection.startsWith("SQ");
  }

  private static double point(Tool tool) {
    double angle = tool.approx("SIG", 180);
    boolean drills =
        ToolClasses.named(tool.toolClass())
            .filter(known -> known.sheet().motion() == Motion.DRILLS)
            .isPresent();
    return drills && angle < 180
        ? tool.approx("PL", tool.approx("DC", 0) / 2 / Math.tan(Math.toRadians(angle / 2)))
        : 0;
  }

  private static String connection(Tool tool) {
    return tool.word("CCMS")
        .orElseGet(() -> {
          boolean arbor = tool.has("DCONMS");
          BigDecimal size = arbor ? tool.size("DCONMS") : tool.size("DMM");
          String text = size == null ? "0" : size.stripTrailingZeros().toPlainString();
          return arbor ? "AR-B-" + text + ":f" : "CY-A-" + text + ":m";
        });
  }

  /**
   * Solid carbide where the sheet says so; the body of a cutter with mounted inserts, and one that
   * says nothing, is steel.
   */
  private static Material material(Tool tool) {
    boolean mounted = MOUNTED.stream().anyMatch(tool::has);
    String substrate = tool.word("SUBSTRATE").orElse("").toUpperCase(Locale.ROOT);
    String grade = tool.word("GRADE").orElse("").toUpperCase(Locale.ROOT);
    boolean carbide =
        CARBIDES.contains(substrate) || CARBIDE_WORDS.stream().anyMatch(grade::contains);
    return carbide && !mounted ? Material.CARBIDE : Material.STEEL;
  }

  /** Length from end to end, mm. */
  public double length() {
    return bodies.stream().mapToDouble(Body::length).sum();
  }
}
