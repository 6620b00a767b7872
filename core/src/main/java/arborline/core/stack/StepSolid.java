package arborline.core.stack;

import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;

/**
 * Writes a solid of revolution as ISO 10303-21 with the AP214 schema: one closed shell of planes,
 * cylinders, cones, spheres, tori and revolved circles around Z, millimetres and radians. The gauge
 * plane is at Z = 0, the tip at positive Z.
 */
public final class StepSolid {

  private static final int DECIMALS = 9;
  private static final double SAME = 1e-7;

  private final Appendable file;
  private final List<Point> profile;
  private final int[] vertices;
  private final int[] circles;

  /** Arcs by the index of their first point; null elsewhere. */
  private final Arc[] arcs;

  private int last;

  private StepSolid(Appendable file, List<Point> profile) {
    this.file = file;
    this.profile = profile;
    this.vertices = new int[profile.size()];
    this.circles = new int[profile.size()];
    this.arcs = new Arc[profile.size()];
    for (int i = 0; i < profile.size(); i = next(i)) {
      arcs[i] = Arc.from(profile, i).orElse(null);
    }
  }

  /** The point at which the next face begins. */
  private int next(int at) {
    return arcs[at] == null ? at + 1 : arcs[at].to();
  }

  /**
   * Writes a profile.
   *
   * @param name of the part
   * @param half profile by rising z, not closed to the axis
   * @param at moment for the header
   * @throws IllegalArgumentException where the profile encloses nothing
   */
  public static void write(Appendable file, String name, List<Point> half, Instant at)
      throws IOException {
    List<Point> profile = closed(half);
    if (profile.size() < 3) {
      throw new IllegalArgumentException("the profile encloses no solid");
    }
    new StepSolid(file, profile).write(name, at);
  }

  /** The profile of a whole stack. */
  public static List<Point> profile(StackShape shape) {
    return shape.spans().stream().flatMap(span -> span.profile().stream()).toList();
  }

  /** Closed to the axis at both ends, without points that repeat or lie on a line. */
  private static List<Point> closed(List<Point> half) {
    List<Point> closed = new ArrayList<>();
    if (half.isEmpty()) {
      return closed;
    }
    add(closed, new Point(half.getFirst().z(), 0));
    half.forEach(point -> add(closed, point));
    add(closed, new Point(half.getLast().z(), 0));
    return closed;
  }

  private static void add(List<Point> line, Point point) {
    Point next = new Point(point.z(), Math.max(0, point.r()));
    if (!line.isEmpty()) {
      Point before = line.getLast();
      if (Math.abs(before.z() - next.z()) < SAME && Math.abs(before.r() - next.r()) < SAME) {
        return;
      }
      if (line.size() > 1 && straight(line.get(line.size() - 2), before, next)) {
        line.removeLast();
      }
    }
    line.add(next);
  }

  private static boolean straight(Point a, Point b, Point c) {
    double cross = (b.z() - a.z()) * (c.r() - a.r()) - (b.r() - a.r()) * (c.z() - a.z());
    double along = (b.z() - a.z()) * (c.z() - b.z()) + (b.r() - a.r()) * (c.r() - b.r());
    return Math.abs(cross) < SAME && along > 0;
  }

  private void write(String name, Instant at) throws IOException {
    String text = plain(name);
    file.append("ISO-10303-21;\nHEADER;\n")
        .append("FILE_DESCRIPTION(('solid of revolution of a tool stack'),'2;1');\n")
        .append(
            "FILE_NAME('%s.step','%s',(''),(''),'arbor line','arbor line','');\n"
                .formatted(
                    text,
                    DateTimeFormatter.ISO_LOCAL_DATE_TIME.format(
                        at.atOffset(ZoneOffset.UTC).withNano(0))))
        .append("FILE_SCHEMA(('AUTOMOTIVE_DESIGN { 1 0 10303 214 1 1 1 1 }'));\nENDSEC;\nDATA;\n");
    int context = units();
    edges();
    List<Integer> faces = new ArrayList<>();
    for (int i = 0; i < profile.size() - 1; i = next(i)) {
      faces.add(face(i, next(i)));
    }
    int shell = line("CLOSED_SHELL('',(%s))".formatted(references(faces)));
    int solid = line("MANIFOLD_SOLID_BREP('%s',#%d)".formatted(text, shell));
    int origin = placement(0, 1);
    int shape =
        line(
            "ADVANCED_BREP_SHAPE_REPRESENTATION('%s',(#%d,#%d),#%d)"
                .formatted(text, origin, solid, context));
    product(text, shape);
    file.append("ENDSEC;\nEND-ISO-10303-21;\n");
  }

  /** Letters, digits and a few signs; anything else would need an escape. */
  private static String plain(String name) {
    return name.replaceAll("[^A-Za-z0-9._ -]", "_");
  }

  private int units() throws IOException {
    int length = line("(LENGTH_UNIT() NAMED_UNIT(*) SI_UNIT(.MILLI.,.METRE.))");
    int angle = line("(NAMED_UNIT(*) PLANE_ANGLE_UNIT() SI_UNIT($,.RADIAN.))");
    int solid = line("(NAMED_UNIT(*) SI_UNIT($,.STERADIAN.) SOLID_ANGLE_UNIT())");
    int uncertainty =
        line(
            "UNCERTAINTY_MEASURE_WITH_UNIT(LENGTH_MEASURE(1.E-06),#%d,'distance_accuracy_value','')"
                .formatted(length));
    return line(
        ("(GEOMETRIC_REPRESENTATION_CONTEXT(3) GLOBAL_UNCERTAINTY_ASSIGNED_CONTEXT((#%d))"
                + " GLOBAL_UNIT_ASSIGNED_CONTEXT((#%d,#%d,#%d)) REPRESENTATION_CONTEXT('',''))")
            .formatted(uncertainty, length, angle, solid));
  }

  /** Vertices at angle zero and the full circles through them. */
  private void edges() throws IOException {
    for (int i = 0; i < profile.size(); i = next(i)) {
      Point point = profile.get(i);
      boolean apex = point.r() < SAME;
      if (apex && !conical(i)) {
        continue;
      }
      vertices[i] = line("VERTEX_POINT('',#%d)".formatted(point(point.r(), point.z())));
      if (!apex) {
        int circle = line("CIRCLE('',#%d,%s)".formatted(placement(point.z(), 1), real(point.r())));
        circles[i] =
            line("EDGE_CURVE('',#%d,#%d,#%d,.T.)".formatted(vertices[i], vertices[i], circle));
      }
    }
  }

  /** True where a point on the axis is the apex of a cone rather than the middle of a disc. */
  private boolean conical(int at) {
    boolean before = at > 0 && profile.get(at).z() - profile.get(at - 1).z() > SAME;
    boolean after = at + 1 < profile.size() && profile.get(at + 1).z() - profile.get(at).z() > SAME;
    return before || after;
  }

  private int face(int from, int to) throws IOException {
    Point a = profile.get(from);
    Point b = profile.get(to);
    return b.z() - a.z() < SAME ? disc(from, to) : round(from, to);
  }

  /** A plane across the axis: it looks to the tip where the radius falls, else to the machine. */
  private int disc(int from, int to) throws IOException {
    Point a = profile.get(from);
    Point b = profile.get(to);
    boolean front = b.r() < a.r();
    int outer = a.r() > b.r() ? from : to;
    int inner = outer == from ? to : from;
    List<Integer> bounds = new ArrayList<>();
    bounds.add(
        line("FACE_OUTER_BOUND('',#%d,.T.)".formatted(loop(oriented(circles[outer], front)))));
    if (profile.get(inner).r() >= SAME) {
      bounds.add(line("FACE_BOUND('',#%d,.T.)".formatted(loop(oriented(circles[inner], !front)))));
    }
    int plane = line("PLANE('',#%d)".formatted(placement(a.z(), front ? 1 : -1)));
    return line("ADVANCED_FACE('',(%s),#%d,.T.)".formatted(references(bounds), plane));
  }

  private int round(int from, int to) throws IOException {
    Point a = profile.get(from);
    Point b = profile.get(to);
    int seam = seam(from, to);
    List<Integer> edges = new ArrayList<>();
    if (circles[from] != 0) {
      edges.add(oriented(circles[from], true));
    }
    edges.add(oriented(seam, true));
    if (circles[to] != 0) {
      edges.add(oriented(circles[to], false));
    }
    edges.add(oriented(seam, false));
    int bound = line("FACE_OUTER_BOUND('',#%d,.T.)".formatted(loop(edges)));
    Arc arc = arcs[from];
    if (arc == null) {
      return line("ADVANCED_FACE('',(#%d),#%d,.T.)".formatted(bound, surface(a, b)));
    }
    boolean convex = arc.convex(a, b);
    return arc.around()
        ? line(
            "ADVANCED_FACE('',(#%d),#%d,.%s.)".formatted(bound, surface(arc), convex ? "T" : "F"))
        : line("ADVANCED_FACE('',(#%d),#%d,.T.)".formatted(bound, revolved(arc, convex)));
  }

  /**
   * A circle whose centre lies beyond the axis, as on a barrel, turned around Z. Its normal is the
   * turning direction times the run of the circle: outwards for one that runs towards the tip.
   */
  private int revolved(Arc arc, boolean convex) throws IOException {
    int axis =
        line(
            "AXIS1_PLACEMENT('',#%d,#%d)".formatted(point(0, 0), line("DIRECTION('',(0.,0.,1.))")));
    return line("SURFACE_OF_REVOLUTION('',#%d,#%d)".formatted(meridian(arc, convex), axis));
  }

  private int surface(Arc arc) throws IOException {
    int at = placement(arc.z(), 1);
    if (arc.onAxis()) {
      return line("SPHERICAL_SURFACE('',#%d,%s)".formatted(at, real(arc.radius())));
    }
    return arc.r() > arc.radius()
        ? line("TOROIDAL_SURFACE('',#%d,%s,%s)".formatted(at, real(arc.r()), real(arc.radius())))
        : line(
            "DEGENERATE_TOROIDAL_SURFACE('',#%d,%s,%s,.T.)"
                .formatted(at, real(arc.r()), real(arc.radius())));
  }

  private int surface(Point a, Point b) throws IOException {
    if (Math.abs(a.r() - b.r()) < SAME) {
      return line("CYLINDRICAL_SURFACE('',#%d,%s)".formatted(placement(a.z(), 1), real(a.r())));
    }
    boolean widening = b.r() > a.r();
    Point small = widening ? a : b;
    double half = Math.atan(Math.abs(b.r() - a.r()) / (b.z() - a.z()));
    return line(
        "CONICAL_SURFACE('',#%d,%s,%s)"
            .formatted(placement(small.z(), widening ? 1 : -1), real(small.r()), real(half)));
  }

  private int seam(int from, int to) throws IOException {
    Point a = profile.get(from);
    Point b = profile.get(to);
    if (arcs[from] != null) {
      int curve = meridian(arcs[from], arcs[from].convex(a, b));
      return line("EDGE_CURVE('',#%d,#%d,#%d,.T.)".formatted(vertices[from], vertices[to], curve));
    }
    double length = Math.hypot(b.z() - a.z(), b.r() - a.r());
    int direction =
        line(
            "DIRECTION('',(%s,0.,%s))"
                .formatted(real((b.r() - a.r()) / length), real((b.z() - a.z()) / length)));
    int vector = line("VECTOR('',#%d,%s)".formatted(direction, real(length)));
    int line = line("LINE('',#%d,#%d)".formatted(point(a.r(), a.z()), vector));
    return line("EDGE_CURVE('',#%d,#%d,#%d,.T.)".formatted(vertices[from], vertices[to], line));
  }

  /** The circle in the plane of the profile, running towards the tip. */
  private int meridian(Arc arc, boolean convex) throws IOException {
    int centre = point(arc.r(), arc.z());
    int axis = line("DIRECTION('',(0.,%s,0.))".formatted(convex ? "-1." : "1."));
    int side = line("DIRECTION('',(1.,0.,0.))");
    int placed = line("AXIS2_PLACEMENT_3D('',#%d,#%d,#%d)".formatted(centre, axis, side));
    return line("CIRCLE('',#%d,%s)".formatted(placed, real(arc.radius())));
  }

  private int loop(int edge) throws IOException {
    return loop(List.of(edge));
  }

  private int loop(List<Integer> edges) throws IOException {
    return line("EDGE_LOOP('',(%s))".formatted(references(edges)));
  }

  private int oriented(int edge, boolean forward) throws IOException {
    return line("ORIENTED_EDGE('',*,*,#%d,.%s.)".formatted(edge, forward ? "T" : "F"));
  }

  private int placement(double z, int direction) throws IOException {
    int origin = point(0, z);
    int axis = line("DIRECTION('',(0.,0.,%s))".formatted(direction > 0 ? "1." : "-1."));
    int side = line("DIRECTION('',(1.,0.,0.))");
    return line("AXIS2_PLACEMENT_3D('',#%d,#%d,#%d)".formatted(origin, axis, side));
  }

  private int point(double x, double z) throws IOException {
    return line("CARTESIAN_POINT('',(%s,0.,%s))".formatted(real(x), real(z)));
  }

  private void product(String name, int shape) throws IOException {
    int application =
        line("APPLICATION_CONTEXT('core data for automotive mechanical design processes')");
    line(
        "APPLICATION_PROTOCOL_DEFINITION('international standard','automotive_design',2000,#%d)"
            .formatted(application));
    int context = line("PRODUCT_CONTEXT('',#%d,'mechanical')".formatted(application));
    int product = line("PRODUCT('%s','%s','',(#%d))".formatted(name, name, context));
    int formation = line("PRODUCT_DEFINITION_FORMATION('','',#%d)".formatted(product));
    int definitionContext =
        line("PRODUCT_DEFINITION_CONTEXT('part definition',#%d,'design')".formatted(application));
    int definition =
        line("PRODUCT_DEFINITION('design','',#%d,#%d)".formatted(formation, definitionContext));
    int shapeOf = line("PRODUCT_DEFINITION_SHAPE('','',#%d)".formatted(definition));
    line("SHAPE_DEFINITION_REPRESENTATION(#%d,#%d)".formatted(shapeOf, shape));
    line("PRODUCT_RELATED_PRODUCT_CATEGORY('part',$,(#%d))".formatted(product));
  }

  private int line(String entity) throws IOException {
    last++;
    file.append("#%d=%s;\n".formatted(last, entity));
    return last;
  }

  private static String references(List<Integer> ids) {
    StringBuilder text = new StringBuilder();
    ids.forEach(id -> text.append(text.isEmpty() ? "#" : ",#").append(id));
    return text.toString();
  }

  private static String real(double value) {
    BigDecimal rounded =
        BigDecimal.valueOf(value).setScale(DECIMALS, RoundingMode.HALF_UP).stripTrailingZeros();
    String text = rounded.signum() == 0 ? "0" : rounded.toPlainString();
    return text.contains(".") ? text : text + ".";
  }
}
