package arborline.core.solid;

import arborline.core.stack.Frustum;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;

/**
 * The contour of a holder or another part as cylinders and cones, machine side first: of a part
 * with a gauge plane what stands in front of it.
 */
final class PartBodies {

  private static final int DECIMALS = 3;
  private static final int MOST = 100;
  private static final double LEAST = 5e-4;

  /** How far a cone may lie beside an arc, mm. */
  private static final double BESIDE = 0.01;

  private PartBodies() {}

  static List<Frustum> of(TurnedShape shape) {
    return of(shape, shape.gauge().orElse(shape.length()));
  }

  /** What stands in front of a plane that lies so far from the workpiece end, mm. */
  static List<Frustum> of(TurnedShape shape, double end) {
    List<Span> spans = new ArrayList<>();
    for (Span span : Span.of(shape.profile())) {
      if (span.z0() < end - LEAST) {
        spans.addAll(cones(span));
      }
    }
    List<Frustum> bodies = new ArrayList<>();
    for (Span span : spans.reversed()) {
      double to = Math.min(span.z1(), end);
      if (to - span.z0() > LEAST && span.largest() > LEAST && bodies.size() < MOST) {
        bodies.add(new Frustum(size(to - span.z0()), size(2 * span.r1()), size(2 * span.r0())));
      }
    }
    return bodies;
  }

  private static BigDecimal size(double value) {
    return Dimensions.plain(Math.max(value, LEAST * 2), DECIMALS);
  }

  /** An arc as cones. */
  private static List<Span> cones(Span span) {
    if (span.straight()) {
      return List.of(span);
    }
    double chord = Math.hypot(span.length(), span.r1() - span.r0());
    double rise = Math.sqrt(Math.max(0, span.radius() * span.radius() - chord * chord / 4));
    double z = (span.z0() + span.z1()) / 2 + rise * (span.r1() - span.r0()) / chord;
    double r = (span.r0() + span.r1()) / 2 - rise * span.length() / chord;
    double from = Math.atan2(span.r0() - r, span.z0() - z);
    double way = Math.IEEEremainder(Math.atan2(span.r1() - r, span.z1() - z) - from, 2 * Math.PI);
    double step = 2 * Math.acos(Math.max(0, 1 - BESIDE / span.radius()));
    int pieces = Math.clamp((int) Math.ceil(Math.abs(way) / step), 1, 24);
    List<Span> cones = new ArrayList<>();
    double z0 = span.z0();
    double r0 = span.r0();
    for (int i = 1; i <= pieces; i++) {
      double angle = from + way * i / pieces;
      double z1 = z + span.radius() * Math.cos(angle);
      double r1 = r + span.radius() * Math.sin(angle);
      cones.add(new Span(z0, r0, z1, r1, 0));
      z0 = z1;
      r0 = r1;
    }
    return cones;
  }
}
