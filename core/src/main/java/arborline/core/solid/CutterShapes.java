package arborline.core.solid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Solid cutters with a shank among turned shapes. */
final class CutterShapes {

  private static final double LEVEL = 1e-3;

  private final TurnedShape shape;
  private final FluteLength flutes;
  private final List<Span> spans;
  private final int shank;

  private CutterShapes(TurnedShape shape, FluteLength flutes) {
    this.shape = shape;
    this.flutes = flutes;
    this.spans = Span.of(shape.profile());
    this.shank = shank(spans);
  }

  static List<SolidProposal> of(TurnedShape shape, FluteLength flutes) {
    double bore = shape.bore().orElse(0);
    boolean hollow =
        bore > 0.35 * shape.diameter()
            || shape.boreMachineEnd().isPresent() && bore > 0.2 * shape.diameter();
    if (shape.connection().isPresent() || hollow) {
      return List.of();
    }
    CutterShapes cutter = new CutterShapes(shape, flutes);
    return cutter.shank < 0 ? List.of() : cutter.proposals();
  }

  /** The last cylinder, behind a chamfer at most. */
  private static int shank(List<Span> spans) {
    for (int i = spans.size() - 1; i >= 0; i--) {
      if (spans.get(i).cylinder()) {
        return i;
      }
    }
    return -1;
  }

  private List<SolidProposal> proposals() {
    Span tip = spans.getFirst();
    double reach = cuttingRadius();
    if (!tip.straight()) {
      return round(tip, reach);
    }
    boolean pointed = tip.r0() < LEVEL && tip.cone();
    if (pointed) {
      return pointed(tip);
    }
    return shape.flats().stream().anyMatch(flats -> flats.count() == 4)
        ? tap(tip)
        : flat(tip, reach);
  }

  private boolean square() {
    return shape.flats().stream().anyMatch(flats -> flats.count() == 4);
  }

  /** The largest distance from the axis before the shank; of a plain rod the rod's. */
  private double cuttingRadius() {
    double largest = 0;
    for (int i = 0; i < Math.max(1, shank); i++) {
      if (i > 0 && spans.get(i).r1() < largest - LEVEL) {
        break;
      }
      largest = Math.max(largest, spans.get(i).largest());
    }
    return largest;
  }

  private Dimensions common(double cuttingRadius) {
    Dimensions common =
        new Dimensions()
            .add("DC", 2 * cuttingRadius)
            .add("DMM", 2 * spans.get(shank).r0())
            .add("OAL", shape.length());
    neck(cuttingRadius).ifPresent(neck -> common.add("DN", 2 * neck.r0()).add("LN", neck.z1()));
    if (flutes.to() > 0) {
      common.add("LCF", flutes.to());
    }
    return common;
  }

  /** A cylinder thinner than the cutting part, behind it. */
  private Optional<Span> neck(double cuttingRadius) {
    return spans.subList(0, shank).stream()
        .filter(span ->
            span.cylinder()
                && span.r0() < cuttingRadius - LEVEL
                && span.z0() > edgeEnd(cuttingRadius) - LEVEL)
        .findFirst();
  }

  /** Where the cutting part ends: at the last place where it has its full diameter. */
  private double edgeEnd(double cuttingRadius) {
    double end = 0;
    for (int i = 0; i < Math.max(1, shank); i++) {
      Span span = spans.get(i);
      if (span.r1() > cuttingRadius - LEVEL) {
        end = span.z1();
      } else if (end > 0) {
        break;
      }
    }
    return end;
  }

  /** With the length of the cutting part, where flutes or a neck tell it. */
  private Dimensions withEdge(double cuttingRadius) {
    double edge = flutes.to() > 0 ? Math.min(flutes.to(), shape.length()) : edgeEnd(cuttingRadius);
    Dimensions common = common(cuttingRadius);
    Span tip = spans.getFirst();
    double least = tip.cylinder() ? 0 : tip.z1() + LEVEL;
    boolean told = edge > least && edge < shape.length() * 0.95;
    return told ? common.add("APMX", edge) : common;
  }

  private List<SolidProposal> round(Span tip, double reach) {
    boolean ball = tip.r0() < LEVEL && Math.abs(tip.radius() - reach) < 0.01 * reach;
    Dimensions sizes = withEdge(reach).add("RE", tip.radius());
    if (ball) {
      return List.of(sizes.as("cutter", "end-mill-ball", 0.9));
    }
    return List.of(sizes.as("cutter", "end-mill-corner-radius", tip.r0() < LEVEL ? 0.4 : 0.85));
  }

  private List<SolidProposal> pointed(Span tip) {
    double point = 2 * (90 - Math.abs(90 - Math.abs(tip.angle())));
    List<Span> steps = new ArrayList<>();
    for (int i = 1; i <= shank; i++) {
      if (spans.get(i).cylinder() && spans.get(i).r0() > last(steps) + LEVEL) {
        steps.add(spans.get(i));
      } else if (spans.get(i).cylinder()) {
        break;
      }
    }
    boolean stepped = shankSteps(steps) > 1 && spans.get(2).cone();
    if (stepped) {
      return List.of(stepDrill(steps.subList(0, shankSteps(steps)), point));
    }
    Dimensions sizes = common(tip.r1()).add("SIG", point);
    double edge =
        flutes.to() > 0 ? flutes.to() : spans.size() > 1 && shank > 1 ? spans.get(1).z1() : 0;
    if (flutes.to() <= 0 && edge > 0) {
      sizes.add("LCF", edge);
    }
    boolean full = tip.r1() >= spans.get(shank).r0() - LEVEL;
    double drill = point >= 110 ? full ? 0.75 : 0.85 : full ? 0.3 : 0.5;
    double spot = full && point >= 80 && flutes.to() <= 0 ? 0.55 : 0.2;
    double engraver = point < 70 ? 0.6 : 0.05;
    return List.of(
        sizes.as("cutter", "drill-twist", drill),
        common(tip.r1()).add("SIG", point).as("cutter", "drill-spot", spot),
        pointedMill(tip, point).as("cutter", "engraver", engraver),
        pointedMill(tip, point)
            .add("DCX", 2 * tip.r1())
            .as("cutter", "chamfer-mill", point < 110 ? 0.5 : 0.1));
  }

  /** The smallest diameter cuts first; each step has its length from the tip and its cone. */
  private SolidProposal stepDrill(List<Span> steps, double point) {
    Dimensions sizes = common(steps.getFirst().r0()).add("SIG", point);
    for (int i = 1; i < steps.size(); i++) {
      Span before = steps.get(i - 1);
      sizes.add("DC" + i, 2 * steps.get(i).r0()).add("SDL" + i, before.z1());
      Span cone = spans.get(spans.indexOf(before) + 1);
      sizes.add("STA" + i, cone.cone() ? 2 * cone.angle() : 180);
    }
    if (flutes.to() <= 0) {
      sizes.add("LCF", steps.getLast().z1());
    }
    return sizes.as("cutter", "drill-step", 0.8);
  }

  private Dimensions pointedMill(Span tip, double point) {
    return new Dimensions()
        .add("DCN", 2 * tip.r0())
        .add("DC", 2 * tip.r1())
        .add("SIG", point)
        .add("DMM", 2 * spans.get(shank).r0())
        .add("OAL", shape.length());
  }

  private static double last(List<Span> steps) {
    return steps.isEmpty() ? 0 : steps.getLast().r0();
  }

  /** Steps that cut: the widest is the shank where it goes to the end. */
  private int shankSteps(List<Span> steps) {
    boolean ends = !steps.isEmpty() && steps.getLast() == spans.get(shank);
    return ends ? steps.size() - 1 : steps.size();
  }

  private List<SolidProposal> tap(Span tip) {
    double thread = cuttingRadius();
    Dimensions sizes = common(thread).add("TD", 2 * thread);
    shape.flats().stream()
        .filter(flats -> flats.count() == 4)
        .findFirst()
        .ifPresent(square -> sizes.add("DRVS", 2 * square.distance()));
    return List.of(
        sizes.as("cutter", "tap-cutting", tip.cone() && square() ? 0.8 : 0.6),
        common(thread).as("cutter", "reamer", 0.35));
  }

  private List<SolidProposal> flat(Span tip, double reach) {
    boolean chamfered = tip.cone() && tip.length() < 0.2 * reach && tip.angle() > 0;
    boolean tapered = tip.cone() && tip.angle() > 0 && !chamfered;
    boolean lead =
        tapered
            && spans.size() > 1
            && spans.get(1).cylinder()
            && shank > 1
            && spans.get(1).length() > tip.length()
            && spans.get(1).r0() > spans.get(shank).r0() + LEVEL;
    if (lead) {
      return tap(tip);
    }
    if (tapered && tip.angle() > 20) {
      return List.of(
          new Dimensions()
              .add("DCN", 2 * tip.r0())
              .add("DCX", 2 * tip.r1())
              .add("DC", 2 * tip.r1())
              .add("SIG", 2 * tip.angle())
              .add("DMM", 2 * spans.get(shank).r0())
              .add("OAL", shape.length())
              .as("cutter", "chamfer-mill", 0.7));
    }
    if (tapered) {
      return List.of(
          new Dimensions()
              .add("DCN", 2 * tip.r0())
              .add("DC", 2 * tip.r1())
              .add("BHTA", tip.angle())
              .add("APMX", tip.length())
              .add("DMM", 2 * spans.get(shank).r0())
              .add("OAL", shape.length())
              .as("cutter", "end-mill-tapered", 0.8));
    }
    Dimensions sizes = withEdge(reach);
    if (chamfered) {
      sizes.add("CHW", tip.r1() - tip.r0());
    }
    boolean disc = edgeEnd(reach) < 0.7 * reach && neck(reach).isPresent();
    List<SolidProposal> proposals = new ArrayList<>();
    proposals.add(sizes.as("cutter", "end-mill-flat", disc ? 0.4 : 0.75));
    if (disc) {
      proposals.add(common(reach).add("CW", edgeEnd(reach)).as("cutter", "slot-mill-t", 0.7));
    }
    return proposals;
  }
}
