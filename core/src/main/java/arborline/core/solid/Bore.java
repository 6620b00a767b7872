package arborline.core.solid;

import java.util.List;
import java.util.OptionalDouble;

/** The hole that opens at an end of a body. */
final class Bore {

  private static final double NEAR = 1e-3;

  private Bore() {}

  /** Its largest diameter from the lower end to where it gets narrower, mm. */
  static OptionalDouble atLowEnd(Contour contour) {
    List<Generator> inner = Envelope.innermost(exact(contour));
    double place = contour.from();
    double largest = -1;
    for (Generator part : inner) {
      if (part.outside() || part.piece().from() > place + NEAR) {
        break;
      }
      ContourPiece piece = part.piece();
      double start = piece.r(piece.from());
      if (largest >= 0 && start < largest - NEAR) {
        break;
      }
      double end = piece.r(piece.to());
      largest = Math.max(largest, Math.max(start, end));
      place = piece.to();
      if (end < largest - NEAR) {
        break;
      }
    }
    return largest <= 0 ? OptionalDouble.empty() : OptionalDouble.of(2 * largest);
  }

  private static List<Generator> exact(Contour contour) {
    return contour.all().stream().filter(Generator::exact).toList();
  }
}
