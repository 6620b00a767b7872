package arborline.core.stack;

import arborline.core.cutting.formula.Deflection;
import arborline.core.cutting.formula.Segment;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What follows from a stack. Lengths from the gauge line in mm.
 *
 * @param spans outline by part, machine side first
 * @param length gauge length: from gauge line to tip, along the axis of the spindle
 * @param functional LF: from gauge line to the cutting reference point, the corners of a drill
 * @param overhang of the cutter out of its holder
 * @param reach how deep it can go along its own axis beside a wall that the edges have just cut
 * @param widest largest diameter
 * @param widestNearGauge largest diameter within 50 mm of the gauge line
 * @param behind half profile of what disappears in the spindle, z below zero; empty where its
 *     connection is none that we know
 * @param mass kg, with what disappears in the spindle
 * @param massBehind kg of that: an estimate by the connection
 * @param massBored kg that the bore for the shank takes off its holder: an estimate, as deep as the
 *     shank is held or has to be
 * @param centre centre of mass from the gauge line
 * @param moment tilting moment at the gauge line, N·m
 * @param deflection at the tip per newton, micrometres; clamping, and the part up to where an
 *     aggregate turns the axis, taken as stiff
 * @param turned the turned axis; empty where all parts are on the axis of the spindle
 * @param corners outermost points of it in front of the gauge line
 * @param thickness largest diameter where what lies on the turned axis is looked at from its tip
 */
public record StackShape(
    List<Span> spans,
    double length,
    double functional,
    double overhang,
    double reach,
    double widest,
    double widestNearGauge,
    List<Point> behind,
    double mass,
    double massBehind,
    double massBored,
    double centre,
    double moment,
    double deflection,
    Optional<Turned> turned,
    List<ShapeCorner> corners,
    double thickness) {

  /**
   * What one part adds to the outline, as a half profile.
   *
   * @param plan of a cutter that is no solid of revolution: its flat parts; empty for others
   * @param height of the plan across its plane, mm; 0 for others
   * @param turned true where it lies on the turned axis, with z counted from the crossing
   */
  public record Span(
      String code,
      boolean cutter,
      List<Point> profile,
      List<Part> plan,
      double height,
      boolean turned) {}

  /**
   * An axis that an aggregate turned.
   *
   * @param at where it crosses the axis of the spindle, from the gauge line
   * @param angle between the axes, degrees
   * @param sideways of the tip from the axis of the spindle
   */
  public record Turned(double at, double angle, double sideways) {}

  /**
   * A point of the outline.
   *
   * @param along from the gauge line, mm
   * @param beside from the axis of the spindle, mm
   */
  public record ShapeCorner(double along, double beside) {}

  private static final double NEAR_GAUGE = 50;
  private static final double GRAVITY = 9.80665;
  private static final double FLUTED_SHARE = 0.8;

  static StackShape of(Stack stack) {
    Sum sum = new Sum();
    BehindGauge behind = BehindGauge.NONE;
    double massBehind = 0;
    if (!stack.components().isEmpty()) {
      Component first = stack.components().getFirst();
      behind = BehindGauge.of(first.machineSide());
      massBehind = behind.mass(first.material());
      sum.mass += massBehind;
      sum.moment += massBehind * behind.centre();
    }
    for (Component component : stack.components()) {
      sum.part(component.code(), false, component.shape(), component.material());
      component.turn().ifPresent(sum::turn);
    }
    Cutter cutter = stack.cutter();
    double overhang = Math.clamp(stack.overhang(), 0, cutter.length());
    double hidden = stack.components().isEmpty() ? 0 : cutter.length() - overhang;
    List<Body> held = within(cutter.bodies(), hidden);
    double massBored = stack.components().isEmpty() ? 0 : bore(sum, stack, held, hidden);
    List<Part> plan = Plan.beyond(cutter.plan(), hidden, sum.at - hidden);
    sum.part(cutter.code(), true, from(cutter.bodies(), hidden), cutter.material(), plan);
    sum.weigh(held, cutter.material().density(), sum.at - overhang - hidden);
    double mass = sum.mass;
    double centre = mass == 0 ? 0 : sum.moment / mass;
    return new StackShape(
        List.copyOf(sum.spans),
        sum.along(sum.at),
        sum.along(sum.at - cutter.point()),
        cutter.length() - hidden,
        reach(sum, cutter.diameter()),
        2 * sum.widest(Double.POSITIVE_INFINITY),
        2 * sum.widest(NEAR_GAUGE),
        behind.profile(),
        mass,
        massBehind,
        massBored,
        centre,
        mass * GRAVITY * centre / 1000,
        deflection(sum, cutter),
        sum.turn == null
            ? Optional.empty()
            : Optional.of(new Turned(sum.turn.at(), sum.turn.angle(), sum.sideways(sum.at))),
        sum.corners(),
        2 * sum.thickness());
  }

  /** Takes the bore that holds the shank off what holds it, kg; none where nothing is clamped. */
  private static double bore(Sum sum, Stack stack, List<Body> held, double hidden) {
    double width =
        held.stream().mapToDouble(body -> Math.max(body.from(), body.to())).max().orElse(0);
    Component holder = stack.components().getLast();
    double depth = Math.min(sum.at, Math.max(hidden, holder.clamping().doubleValue()));
    Body bore =
        new Body(
            depth, width, width, held.isEmpty() ? Optional.empty() : held.getFirst().section());
    return -sum.weigh(List.of(bore), -holder.material().density(), sum.at - depth);
  }

  /** Bodies behind a length from their machine side. */
  private static List<Body> from(List<Body> bodies, double hidden) {
    List<Body> rest = new ArrayList<>();
    double at = 0;
    for (Body body : bodies) {
      double end = at + body.length();
      if (end > hidden) {
        rest.add(at >= hidden ? body : body.behind(hidden - at));
      }
      at = end;
    }
    return rest;
  }

  private static List<Body> within(List<Body> bodies, double hidden) {
    List<Body> inside = new ArrayList<>();
    double at = 0;
    for (Body body : bodies) {
      double end = at + body.length();
      if (at < hidden) {
        inside.add(end <= hidden ? body : body.before(hidden - at));
      }
      at = end;
    }
    return inside;
  }

  /** From the tip to where something is wider than the edges. */
  private static double reach(Sum sum, double diameter) {
    double reached = 0;
    for (int i = sum.bodies.size() - 1; i >= 0; i--) {
      Body body = sum.bodies.get(i).body();
      if (Math.max(body.from(), body.to()) > diameter + 1e-6) {
        if (body.to() > diameter + 1e-6) {
          return reached;
        }
        double share = (diameter - body.to()) / (body.from() - body.to());
        return reached + share * body.length();
      }
      reached += body.length();
    }
    return reached;
  }

  private static double deflection(Sum sum, Cutter cutter) {
    List<Segment> segments = new ArrayList<>();
    double fluted = cutter.fluted();
    for (int i = sum.bodies.size() - 1; i >= 0; i--) {
      Placed placed = sum.bodies.get(i);
      Body body = placed.body();
      double share = placed.cutter() && fluted > 1e-9 ? FLUTED_SHARE : 1;
      double least = 0.05;
      segments.add(
          new Segment(
              body.length(),
              Math.max(least, share * body.bendsTo()),
              Math.max(least, share * body.bendsFrom()),
              placed.material().modulus()));
      fluted -= placed.cutter() ? body.length() : 0;
    }
    return Deflection.of(1, segments.stream().filter(segment -> segment.length() > 0).toList());
  }

  private record Placed(Body body, boolean cutter, Material material) {}

  /** Adds parts one behind the other. */
  private static final class Sum {

    /** A turned axis: degrees, and mm along the spindle and along itself. */
    private record Axis(double angle, double at, double out) {}

    private final List<Span> spans = new ArrayList<>();
    private final List<Placed> bodies = new ArrayList<>();
    private final List<Placed> straight = new ArrayList<>();
    private Axis turn;
    private double at;
    private double mass;
    private double moment;

    /** From here on everything lies on another axis. */
    void turn(Component.Turn next) {
      turn =
          new Axis(next.angle().doubleValue(), next.at().doubleValue(), next.out().doubleValue());
      at = turn.out();
      straight.addAll(bodies);
      bodies.clear();
    }

    /** How far along the axis of the spindle a length on the present axis lies. */
    double along(double length) {
      return turn == null ? length : turn.at() + length * Math.cos(Math.toRadians(turn.angle()));
    }

    double sideways(double length) {
      return turn == null ? 0 : length * Math.sin(Math.toRadians(turn.angle()));
    }

    void part(String code, boolean cutter, List<Body> added, Material material) {
      part(code, cutter, added, material, List.of());
    }

    void part(String code, boolean cutter, List<Body> added, Material material, List<Part> plan) {
      weigh(added, material.density(), at);
      List<Point> profile = new ArrayList<>(2 * added.size());
      for (Body body : added) {
        bodies.add(new Placed(body, cutter, material));
        profile.add(new Point(at, body.from() / 2));
        at += body.length();
        profile.add(new Point(at, body.to() / 2));
      }
      double height = plan.isEmpty() || added.isEmpty() ? 0 : added.getFirst().height();
      spans.add(new Span(code, cutter, profile, plan, height, turn != null));
    }

    /**
     * Adds the weight of bodies that begin at a length, and says it, kg; a bore weighs less than
     * nothing.
     */
    double weigh(List<Body> added, double density, double from) {
      double before = mass;
      double begin = from;
      for (Body body : added) {
        double weight = body.volume() * 1e-9 * density;
        mass += weight;
        moment += weight * along(begin + body.centre());
        begin += body.length();
      }
      return mass - before;
    }

    /** Largest distance of anything from the axis of the spindle, up to one from the gauge line. */
    double widest(double until) {
      double widest = turn == null ? widest(bodies, until) : widest(straight, until);
      boolean all = Double.isInfinite(until);
      return turn == null || !all ? widest : Math.max(widest, swept());
    }

    /** Largest radius, of what lies on the turned axis from that axis. */
    double thickness() {
      return Math.max(
          widest(straight, Double.POSITIVE_INFINITY), widest(bodies, Double.POSITIVE_INFINITY));
    }

    List<ShapeCorner> corners() {
      List<ShapeCorner> corners = new ArrayList<>();
      double end = 0;
      for (Placed placed : turn == null ? bodies : straight) {
        corners.add(new ShapeCorner(end, placed.body().from() / 2));
        end += placed.body().length();
        corners.add(new ShapeCorner(end, placed.body().to() / 2));
      }
      if (turn != null) {
        double out = turn.out();
        for (Placed placed : bodies) {
          corners.addAll(turnedCorners(out, placed.body().from() / 2));
          out += placed.body().length();
          corners.addAll(turnedCorners(out, placed.body().to() / 2));
        }
      }
      return corners;
    }

    /** Both edges of a disc on the turned axis. */
    private List<ShapeCorner> turnedCorners(double out, double radius) {
      double lean = Math.cos(Math.toRadians(turn.angle()));
      double rise = radius * Math.sin(Math.toRadians(turn.angle()));
      return List.of(
          new ShapeCorner(along(out) + rise, Math.abs(sideways(out) - radius * lean)),
          new ShapeCorner(along(out) - rise, Math.abs(sideways(out) + radius * lean)));
    }

    private double swept() {
      double swept = 0;
      double end = turn.out();
      for (Placed placed : bodies) {
        end += placed.body().length();
        double radius = Math.max(placed.body().from(), placed.body().to()) / 2;
        double lean = Math.abs(Math.cos(Math.toRadians(turn.angle())));
        swept = Math.max(swept, sideways(end) + radius * lean);
      }
      return swept;
    }

    private static double widest(List<Placed> bodies, double until) {
      double widest = 0;
      double begin = 0;
      for (Placed placed : bodies) {
        if (begin < until) {
          double end = Math.min(1, (until - begin) / placed.body().length());
          double there = placed.body().from() + (placed.body().to() - placed.body().from()) * end;
          widest = Math.max(widest, Math.max(placed.body().from(), there) / 2);
        }
        begin += placed.body().length();
      }
      return widest;
    }
  }
}
