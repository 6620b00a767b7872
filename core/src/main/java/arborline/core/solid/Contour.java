package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import java.util.ArrayList;
import java.util.List;

/**
 * The contour of bodies around an axis.
 *
 * @param outer from the lowest to the highest place along the axis
 * @param all of which it was made
 * @param whole false where free faces may bulge out that were not looked at
 */
record Contour(Axis axis, List<Generator> outer, List<Generator> all, boolean whole) {

  /** Samples are taken where they stand out farther than this, mm. */
  private static final double STANDS_OUT = 0.002;

  private static final double BESIDE = 1e-5;

  static Contour of(List<Body> bodies, Axis axis) {
    return of(axis, Generators.of(bodies, axis));
  }

  /**
   * The contour of turned faces and edges alone, which takes little time: free faces that bulge out
   * can only hide more of what is turned.
   */
  static Contour ofEdges(List<Body> bodies, Axis axis) {
    return of(axis, Generators.ofEdges(bodies, axis));
  }

  private static Contour of(Axis axis, Generators.Found found) {
    List<Generator> all = found.generators();
    List<Generator> exact = all.stream().filter(Generator::exact).toList();
    Reach reach = new Reach(Envelope.outermost(exact));
    List<Generator> counted = new ArrayList<>(exact);
    for (Generator generator : all) {
      if (!generator.exact() && standsOut(generator.piece(), reach)) {
        counted.add(generator);
      }
    }
    List<Generator> outer =
        counted.size() == exact.size() ? reach.parts() : Envelope.outermost(counted);
    return turnedRight(new Contour(axis, outer, counted, found.whole()));
  }

  private static boolean standsOut(ContourPiece piece, Reach reach) {
    double middle = (piece.from() + piece.to()) / 2;
    return piece.r(piece.from()) > reach.at(piece.from(), BESIDE) + STANDS_OUT
        || piece.r(piece.to()) > reach.at(piece.to(), BESIDE) + STANDS_OUT
        || piece.r(middle) > reach.at(middle, BESIDE) + STANDS_OUT;
  }

  /** The outermost faces look away from the axis: where most do not, all are turned. */
  private static Contour turnedRight(Contour contour) {
    double away = 0;
    for (Generator part : contour.outer) {
      double length = part.piece().to() - part.piece().from();
      away += !part.exact() ? 0 : part.outside() ? length : -length;
    }
    return away >= 0
        ? contour
        : new Contour(contour.axis, turned(contour.outer), turned(contour.all), contour.whole);
  }

  private static List<Generator> turned(List<Generator> generators) {
    return generators.stream().map(Generator::facingOtherWay).toList();
  }

  /** The same with its zero at its lowest place, or at its highest and looking down. */
  Contour fromEnd(boolean low) {
    double zero = low ? from() : to();
    Axis there = axis.from(zero);
    return new Contour(
        low ? there : there.reversed(), seen(outer, zero, !low), seen(all, zero, !low), whole);
  }

  private static List<Generator> seen(List<Generator> generators, double zero, boolean backwards) {
    List<Generator> seen =
        generators.stream().map(one -> one.with(one.piece().seenFrom(zero, backwards))).toList();
    return backwards ? seen.reversed() : seen;
  }

  double from() {
    return outer.stream().mapToDouble(part -> part.piece().from()).min().orElse(0);
  }

  double to() {
    return outer.stream().mapToDouble(part -> part.piece().to()).max().orElse(0);
  }

  double length() {
    return to() - from();
  }

  double diameter() {
    return 2 * outer.stream().mapToDouble(part -> greatest(part.piece())).max().orElse(0);
  }

  /** The largest diameter of what is turned around the axis. */
  double turnedDiameter() {
    return 2
        * all.stream()
            .filter(part -> part.exact() && part.outside())
            .mapToDouble(part -> greatest(part.piece()))
            .max()
            .orElse(0);
  }

  private static double greatest(ContourPiece piece) {
    double ends = Math.max(piece.r(piece.from()), piece.r(piece.to()));
    return piece instanceof RoundPiece arc
            && arc.outer()
            && arc.z0() > arc.from()
            && arc.z0() < arc.to()
        ? Math.max(ends, arc.r0() + arc.radius())
        : ends;
  }

  /** The share of its length that turned faces of the bodies' outside give. */
  double turnedShare() {
    double turned = 0;
    for (Generator part : outer) {
      turned += part.exact() && part.outside() ? part.piece().to() - part.piece().from() : 0;
    }
    return length() <= 0 ? 0 : turned / length();
  }

  /** The widest angle around the axis at which no turned face of the contour stands, radians. */
  double widestGap() {
    Reach reach = new Reach(outer);
    List<Sector> sectors = new ArrayList<>();
    for (Generator one : all) {
      if (one.sector().isPresent() && one.outside() && supports(one.piece(), reach)) {
        sectors.add(one.sector().get());
      }
    }
    return FaceSector.widestGap(sectors);
  }

  /** True where a piece lies on the contour somewhere. */
  private static boolean supports(ContourPiece piece, Reach reach) {
    for (double share : new double[] {0.5, 0.05, 0.95, 0.25, 0.75}) {
      double z = piece.from() + (piece.to() - piece.from()) * share;
      if (piece.r(z) > reach.at(z, 0) - STANDS_OUT) {
        return true;
      }
    }
    return false;
  }
}
