package arborline.core.storage;

import java.util.List;
import org.jspecify.annotations.Nullable;

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
   * @param driven true where it turns the tool
   * @param box the place with its tool and its labels
   * @param next which place is next in each direction of the drawing
   */
  public record Spot(
      String place,
      double x,
      double y,
      double angle,
      boolean endOn,
      boolean driven,
      Box box,
      Next next) {}

  /** A rectangle. */
  public record Box(double left, double top, double width, double height) {}

  /** Places in the four directions; null where there is none. */
  public record Next(
      @Nullable String right, @Nullable String left, @Nullable String up, @Nullable String down) {

    static final Next UNKNOWN = new Next(null, null, null, null);
  }

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

  /** With the places that are next to each other in the drawing. */
  public Layout {
    List<Spot> all = List.copyOf(spots);
    spots =
        all.stream()
            .map(spot ->
                new Spot(
                    spot.place(),
                    spot.x(),
                    spot.y(),
                    spot.angle(),
                    spot.endOn(),
                    spot.driven(),
                    spot.box(),
                    Directions.next(spot, all)))
            .toList();
    strokes = List.copyOf(strokes);
  }

  /** Distance of neighbours in the drawing where nobody knows it, mm. */
  static final double USUAL_PITCH = 120;

  /** Room for the number of a place, mm. */
  static final double LABEL = 44;

  static double pitch(StorageDefinition definition) {
    return definition.pitch() == null ? USUAL_PITCH : definition.pitch().doubleValue();
  }
}
