package arborline.core.stack;

import arborline.core.finding.Finding;
import java.util.Locale;
import java.util.Optional;

/**
 * A pocket that a cutter finishes down to its floor.
 *
 * @param depth mm
 * @param corner radius of its inner corners, mm; empty where nobody asks about them
 */
public record Pocket(double depth, Optional<Double> corner) {

  /** What a round leaves in a corner of a right angle, for each mm of its radius. */
  private static final double LEFT_IN_CORNER = Math.sqrt(2) - 1;

  /** The wall where the cutter follows it: half of the cutter beside the axis. */
  public Wall wall(Cutter cutter) {
    return new Wall(depth, cutter.diameter() / 2);
  }

  /**
   * What a cutter leaves in corners that are too small for it. Between two rounds in one corner of
   * a right angle stand (R - r)(sqrt 2 - 1) along its bisector (plane geometry).
   */
  public Optional<Finding> left(Cutter cutter) {
    double radius = cutter.diameter() / 2;
    return corner
        .filter(round -> round < radius - 1e-9)
        .map(round ->
            Finding.query(
                "pocket-corner",
                String.format(
                    Locale.ROOT,
                    "a corner of %.2f mm is too small for %s of %.2f mm radius:"
                        + " it leaves %.2f mm there",
                    round,
                    cutter.code(),
                    radius,
                    (radius - round) * LEFT_IN_CORNER),
                "DC"));
  }
}
