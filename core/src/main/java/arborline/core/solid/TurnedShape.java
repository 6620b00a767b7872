package arborline.core.solid;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A part that is turned around an axis, mm.
 *
 * @param axis from the workpiece end to the machine end
 * @param endIsClear false where which end is the workpiece's is a guess
 * @param bore largest diameter of the hole at the workpiece end, until it gets narrower
 * @param boreMachineEnd the same at the machine end
 * @param profile outer contour from the workpiece end
 * @param connection towards the machine, by its cone and flange
 * @param gauge distance of its gauge plane from the workpiece end
 * @param flats flats, squares and hexagons on it
 */
public record TurnedShape(
    SolidAxis axis,
    boolean endIsClear,
    double length,
    double diameter,
    OptionalDouble bore,
    OptionalDouble boreMachineEnd,
    List<ProfileElement> profile,
    Optional<String> connection,
    OptionalDouble gauge,
    List<Flats> flats) {

  private static final double CLEAR = 0.5;

  static TurnedShape of(Contour found, List<Body> bodies) {
    return of(found, bodies, false);
  }

  /**
   * A part whose ends somebody knows.
   *
   * @param turned true where they stand the other way round than they are guessed
   */
  static TurnedShape of(Contour found, List<Body> bodies, boolean turned) {
    double low = WorkpieceEnd.low(found, bodies);
    Contour contour = found.fromEnd(low >= 0 != turned);
    List<ProfileElement> profile = ProfileElements.of(contour);
    Optional<ConnectionCone> cone =
        ConnectionCone.of(Span.of(profile)).filter(ConnectionCone::atHighEnd);
    return new TurnedShape(
        new SolidAxis(contour.axis().origin(), contour.axis().direction(), contour.diameter()),
        turned || Math.abs(low) >= CLEAR,
        contour.length(),
        contour.diameter(),
        Bore.atLowEnd(contour),
        Bore.atLowEnd(contour.fromEnd(false)),
        profile,
        cone.map(ConnectionCone::code),
        cone.map(one -> OptionalDouble.of(one.gauge())).orElse(OptionalDouble.empty()),
        Flats.of(bodies, contour.axis()));
  }
}
