package arborline.core.storage;

import arborline.core.storage.Layout.Box;
import arborline.core.storage.Layout.Next;
import arborline.core.storage.Layout.Spot;
import arborline.core.storage.Layout.Stroke;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/** Lays places out on a circle, the first on top, on clockwise. */
final class Circles {

  private Circles() {}

  /**
   * Lays them out.
   *
   * @param radius from the axis to the gauge lines, mm
   * @param room from the axis to whatever reaches furthest, mm
   * @param endOn true where tools point to who looks, false where they point outwards
   * @param driven by index
   */
  static Layout around(
      StorageDefinition definition,
      double radius,
      double room,
      boolean endOn,
      IntPredicate driven,
      List<Stroke> more) {
    List<Spot> spots = new ArrayList<>();
    double side = Math.min(Layout.pitch(definition), 2 * Layout.LABEL);
    double inside = radius - side / 2;
    for (int index = 0; index < definition.places(); index++) {
      double angle = -90 + 360.0 * index / definition.places();
      double across = Math.cos(Math.toRadians(angle));
      double down = Math.sin(Math.toRadians(angle));
      spots.add(
          new Spot(
              definition.place(index),
              room + radius * across,
              room + radius * down,
              angle,
              endOn,
              driven.test(index),
              new Box(
                  room + inside * across - side / 2, room + inside * down - side / 2, side, side),
              Next.UNKNOWN));
    }
    List<Stroke> strokes = new ArrayList<>(more);
    strokes.add(Stroke.circle("body", room, room, radius));
    return new Layout(2 * room, 2 * room, spots, strokes);
  }

  /** Radius of a circle on which so many chords of a pitch close, mm. */
  static double radius(StorageDefinition definition) {
    double pitch = Layout.pitch(definition);
    return definition.places() < 2 ? pitch : pitch / 2 / Math.sin(Math.PI / definition.places());
  }
}
