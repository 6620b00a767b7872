package arborline.core.solid;

import arborline.core.solid.shape.ArcMeridian;
import arborline.core.solid.shape.Meridian;
import arborline.core.solid.shape.SampledMeridian;
import arborline.core.solid.shape.StraightMeridian;
import java.util.ArrayList;
import java.util.List;

/** A range of a meridian as pieces of a contour; straight pieces across the axis are none. */
final class MeridianPieces {

  private static final double FLAT = 1e-9;
  private static final int SAMPLES = 256;

  private MeridianPieces() {}

  static List<ContourPiece> of(Meridian meridian, MeridianRange range) {
    return switch (meridian) {
      case StraightMeridian line -> straight(line, range);
      case ArcMeridian arc -> round(arc, range);
      case SampledMeridian curve -> sampled(curve, range);
    };
  }

  private static List<ContourPiece> straight(Meridian line, MeridianRange range) {
    List<ContourPiece> pieces = new ArrayList<>();
    add(pieces, line.z(range.from()), line.r(range.from()), line.z(range.to()), line.r(range.to()));
    return pieces;
  }

  private static void add(List<ContourPiece> pieces, double z0, double r0, double z1, double r1) {
    if (Math.abs(z1 - z0) < FLAT) {
      return;
    }
    pieces.add(z0 < z1 ? new StraightPiece(z0, r0, z1, r1) : new StraightPiece(z1, r1, z0, r0));
  }

  /** Cut where it turns back along the axis: at a quarter and three quarters of a turn. */
  private static List<ContourPiece> round(ArcMeridian arc, MeridianRange range) {
    List<ContourPiece> pieces = new ArrayList<>();
    double at = range.from();
    while (at < range.to() - FLAT) {
      double next = Math.min(range.to(), (Math.floor(at / Math.PI + 0.5 + 1e-9) + 0.5) * Math.PI);
      double middle = (at + next) / 2;
      double z0 = arc.z(at);
      double z1 = arc.z(next);
      if (Math.abs(z1 - z0) > FLAT) {
        pieces.add(
            new RoundPiece(
                arc.z0(),
                arc.r0(),
                arc.radius(),
                Math.cos(middle) > 0,
                Math.min(z0, z1),
                Math.max(z0, z1)));
      }
      at = next;
    }
    return pieces;
  }

  private static List<ContourPiece> sampled(SampledMeridian curve, MeridianRange range) {
    List<ContourPiece> pieces = new ArrayList<>();
    double step = (range.to() - range.from()) / SAMPLES;
    for (int i = 0; i < SAMPLES && step > 0; i++) {
      double a = range.from() + i * step;
      double b = a + step;
      add(pieces, curve.z(a), curve.r(a), curve.z(b), curve.r(b));
    }
    return pieces;
  }
}
