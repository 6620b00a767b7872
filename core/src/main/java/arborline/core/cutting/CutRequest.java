package arborline.core.cutting;

/**
 * What somebody asks of a cut. What a way of cutting does not ask for is not looked at.
 *
 * @param speed vc, m/min
 * @param feed per tooth in milling, else per revolution, mm
 * @param depth ap, mm
 * @param width ae, mm
 * @param work diameter of the work that is turned or bored, mm
 * @param centred true where a mill lies over the middle of the work, false where it cuts at its
 *     side
 */
public record CutRequest(
    double speed, double feed, double depth, double width, double work, boolean centred) {

  /** A cut at the side of a mill, or one that needs no width. */
  public CutRequest(double speed, double feed, double depth, double width) {
    this(speed, feed, depth, width, 0, false);
  }

  CutRequest with(double otherSpeed, double otherFeed) {
    return new CutRequest(otherSpeed, otherFeed, depth, width, work, centred);
  }
}
