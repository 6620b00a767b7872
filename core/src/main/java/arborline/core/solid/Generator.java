package arborline.core.solid;

import java.util.Optional;

/**
 * A piece that a body adds to the contour.
 *
 * @param exact true where a face is turned around the axis there; false for samples of others
 * @param outside true where the body lies on the axis' side of it; false within a hole
 * @param sector how far the face goes around the axis; nothing for samples
 */
record Generator(ContourPiece piece, boolean exact, boolean outside, Optional<Sector> sector) {

  /** A piece of a face that is turned around the axis. */
  static Generator turned(ContourPiece piece, boolean outside, Sector sector) {
    return new Generator(piece, true, outside, Optional.of(sector));
  }

  /** A piece through points of a face that is not. */
  static Generator sampled(ContourPiece piece) {
    return new Generator(piece, false, true, Optional.empty());
  }

  Generator between(double from, double to) {
    return with(piece.between(from, to));
  }

  Generator with(ContourPiece other) {
    return new Generator(other, exact, outside, sector);
  }

  Generator facingOtherWay() {
    return new Generator(piece, exact, !outside, sector);
  }
}
