package arborline.core.storage;

import java.util.List;

/**
 * A storage in the drawing: millimetres, x to the right, y downwards, from the upper left corner.
 *
 * @param spots one for each place, in order
 * @param strokes what is drawn of the storage itself
 */
public record Layout(double width, double height, List<Spot> spots, List<Stroke> strokes) {

  /**
   * Where the gauge line of a place is.
   *
   * @param angle to which its tool points, degrees clockwise from the right
   * @param endOn true where the tool is seen from its tip
   * @param labelX where its number stands
   * @param driven true where it turns the tool
   */
  public record Spot(
      String place,
      double x,
      double y,
      double angle,
      boolean endOn,
      double labelX,
      double labelY,
      boolean driven) {}

  /**
   * A line, or a circle where a radius is given.
   *
   * @param kind {@code body}, {@code swing}
   * @param x1 centre of a circle
   */
  public record Stroke(String kind, double x1, double y1, double x2, double y2, double radius) {

    static Stroke line(double x1, double y1, double x2, double y2) {
      return new Stroke("body", x1, y1, x2, y2, 0);
    }

    static Stroke circle(String kind, double x, double y, double radius) {
      return new Stroke(kind, x, y, x, y, radius);
    }
  }

  /** Room for a tool where no longest one is stated, mm. */
  static final double USUAL_LENGTH = 250;

  /** Distance of neighbours in the drawing where nobody knows it, mm. */
  static final double USUAL_PITCH = 120;

  /** Room for the number of a place, mm. */
  static final double LABEL = 36;

  static double length(StorageDefinition definition) {
    return definition.limits().length() == null
        ? USUAL_LENGTH
        : definition.limits().length().doubleValue();
  }

  static double pitch(StorageDefinition definition) {
    return definition.pitch() == null ? USUAL_PITCH : definition.pitch().doubleValue();
  }
}
