package arborline.core.solid;

/**
 * A piece of a contour: one distance {@code r} from the axis for each {@code z} between two, mm.
 */
sealed interface ContourPiece permits StraightPiece, RoundPiece {

  double from();

  double to();

  double r(double z);

  /** The same between two other places within it. */
  ContourPiece between(double from, double to);

  /** The same seen from another place along the axis, and looking the other way. */
  ContourPiece seenFrom(double zero, boolean backwards);

  /** True where another piece that begins where this one ends goes on in the same way. */
  boolean goesOnIn(ContourPiece next);

  /** This and the next one as one. */
  ContourPiece joined(ContourPiece next);
}
