package arborline.core.solid;

import arborline.core.solid.shape.ArcMeridian;
import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Meridian;
import arborline.core.solid.shape.SampledMeridian;
import arborline.core.solid.shape.StraightMeridian;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;

/** From where to where on its meridian a turned face lies. */
record MeridianRange(double from, double to) {

  private static final double NEAR = 1e-7;
  private static final double ON_AXIS = 1e-6;
  private static final int ANGLES = 16;

  static MeridianRange of(Face face, Axis axis, Meridian meridian) {
    List<MeridianRange> ranges = new ArrayList<>();
    for (EdgeUse use : face.edges()) {
      ranges.add(along(use.edge(), axis, meridian));
    }
    Lazy region = new Lazy(() -> new FaceRegion(face));
    boolean round = meridian instanceof ArcMeridian arc && arc.r0() > ON_AXIS;
    return round
        ? aroundTube(ranges, axis, meridian, region)
        : withTips(hull(ranges), closed(face, axis), axis, meridian, region);
  }

  /** True where whole circles bound it on both sides. */
  private static boolean closed(Face face, Axis axis) {
    return face.edges().stream().map(EdgeUse::edge).filter(edge -> edge.circle(axis)).count() > 1;
  }

  /** A region that is made when it is first asked for. */
  private static final class Lazy {
    private final Supplier<FaceRegion> maker;
    private FaceRegion made;

    Lazy(Supplier<FaceRegion> maker) {
      this.maker = maker;
    }

    boolean contains(Vector3 point) {
      if (made == null) {
        made = maker.get();
      }
      return made.contains(point);
    }
  }

  private static MeridianRange along(Edge edge, Axis axis, Meridian meridian) {
    int pieces = steps(edge, axis, meridian);
    double low = Double.MAX_VALUE;
    double high = -Double.MAX_VALUE;
    double before = Double.NaN;
    for (int i = 0; i <= pieces; i++) {
      Vector3 point = edge.at((double) i / pieces);
      double v = meridian.parameter(axis.z(point), axis.r(point));
      double period = meridian.period();
      if (period > 0 && !Double.isNaN(before)) {
        v += period * Math.rint((before - v) / period);
      }
      before = v;
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    return new MeridianRange(low, high);
  }

  /** A circle around the axis stays at one place; a line along a straight meridian has ends. */
  private static int steps(Edge edge, Axis axis, Meridian meridian) {
    if (edge.around(axis)) {
      return 1;
    }
    boolean straight = edge.curve() instanceof Line && meridian instanceof StraightMeridian;
    return straight ? 1 : edge.pieces();
  }

  private static MeridianRange hull(List<MeridianRange> ranges) {
    return new MeridianRange(
        ranges.stream().mapToDouble(MeridianRange::from).min().orElse(Double.NaN),
        ranges.stream().mapToDouble(MeridianRange::to).max().orElse(Double.NaN));
  }

  /**
   * Out to a point on the axis that the face holds though no edge goes there. A face that does not
   * seem to hold what lies between its own edges looks the wrong way and is not asked.
   */
  private static MeridianRange withTips(
      MeridianRange hull, boolean closed, Axis axis, Meridian meridian, Lazy region) {
    double from = hull.from();
    double to = hull.to();
    if (closed && to - from > NEAR) {
      return hull;
    }
    boolean trusted =
        Double.isNaN(from) || to - from < NEAR || covered(axis, meridian, (from + to) / 2, region);
    for (double tip : tips(meridian)) {
      boolean beyond = Double.isNaN(from) || tip < from - NEAR || tip > to + NEAR;
      if (beyond && trusted && region.contains(axis.at(meridian.z(tip)))) {
        from = Double.isNaN(from) ? tip : Math.min(from, tip);
        to = Double.isNaN(to) ? tip : Math.max(to, tip);
      }
    }
    return new MeridianRange(from, to);
  }

  private static List<Double> tips(Meridian meridian) {
    return switch (meridian) {
      case ArcMeridian arc -> {
        double tip = Math.acos(Math.clamp(-arc.r0() / arc.radius(), -1, 1));
        yield List.of(-tip, tip);
      }
      case StraightMeridian line when Math.abs(line.dr()) > NEAR && Math.abs(line.dz()) > NEAR ->
          List.of(-line.r0() / line.dr());
      case StraightMeridian line -> List.of();
      case SampledMeridian curve -> {
        List<Double> ends = new ArrayList<>();
        for (double end : new double[] {curve.from(), curve.to()}) {
          if (curve.r(end) < ON_AXIS) {
            ends.add(end);
          }
        }
        yield ends;
      }
    };
  }

  /** Around the tube of a torus, where two circles alone leave open which way the face goes. */
  private static MeridianRange aroundTube(
      List<MeridianRange> ranges, Axis axis, Meridian meridian, Lazy region) {
    double period = meridian.period();
    List<MeridianRange> known = merged(ranges, period);
    if (known.isEmpty()) {
      return new MeridianRange(0, period);
    }
    if (known.getFirst().to() - known.getFirst().from() >= period - NEAR) {
      return new MeridianRange(0, period);
    }
    int widest = -1;
    double width = -1;
    int open = -1;
    double openWidth = -1;
    for (int i = 0; i < known.size(); i++) {
      double start = known.get(i).to();
      double gap = known.get((i + 1) % known.size()).from() - start;
      gap = gap < NEAR ? gap + period : gap;
      if (gap > width) {
        width = gap;
        widest = i;
      }
      if (gap > openWidth && !covered(axis, meridian, start + gap / 2, region)) {
        openWidth = gap;
        open = i;
      }
    }
    if (open < 0 && known.size() == 1 && known.getFirst().to() - known.getFirst().from() < NEAR) {
      return new MeridianRange(known.getFirst().from(), known.getFirst().from() + period);
    }
    int gap = open < 0 ? widest : open;
    double from = known.get((gap + 1) % known.size()).from();
    double to = known.get(gap).to();
    return new MeridianRange(from, to < from - NEAR ? to + period : to);
  }

  private static boolean covered(Axis axis, Meridian meridian, double v, Lazy region) {
    Vector3 across = axis.direction().anyAcross();
    Vector3 other = axis.direction().cross(across);
    for (int i = 0; i < ANGLES; i++) {
      double u = 2 * Math.PI * (i + 0.5) / ANGLES;
      Vector3 out = across.times(Math.cos(u)).plus(other.times(Math.sin(u)));
      if (region.contains(axis.at(meridian.z(v)).plus(out.times(meridian.r(v))))) {
        return true;
      }
    }
    return false;
  }

  /** Ranges within one period, joined where they touch. */
  private static List<MeridianRange> merged(List<MeridianRange> ranges, double period) {
    List<MeridianRange> sorted =
        ranges.stream()
            .map(range -> {
              double shift = period * Math.floor(range.from() / period + NEAR);
              return new MeridianRange(range.from() - shift, range.to() - shift);
            })
            .sorted(Comparator.comparingDouble(MeridianRange::from))
            .toList();
    List<MeridianRange> merged = new ArrayList<>();
    for (MeridianRange range : sorted) {
      MeridianRange last = merged.isEmpty() ? null : merged.getLast();
      if (last != null && range.from() <= last.to() + NEAR) {
        merged.set(
            merged.size() - 1, new MeridianRange(last.from(), Math.max(last.to(), range.to())));
      } else {
        merged.add(range);
      }
    }
    while (merged.size() > 1 && merged.getLast().to() >= merged.getFirst().from() + period - NEAR) {
      MeridianRange last = merged.removeLast();
      MeridianRange first = merged.removeFirst();
      merged.addFirst(
          new MeridianRange(last.from() - period, Math.max(first.to(), last.to() - period)));
    }
    return merged;
  }
}
