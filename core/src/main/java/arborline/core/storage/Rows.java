package arborline.core.storage;

import arborline.core.storage.Layout.Box;
import arborline.core.storage.Layout.Next;
import arborline.core.storage.Layout.Spot;
import arborline.core.storage.Layout.Stroke;
import java.util.ArrayList;
import java.util.List;

/** Lays places out in rows, with tools hanging from them. */
final class Rows {

  private static final double DOWN = 90;
  private static final double GAP = 30;

  private Rows() {}

  /** One row from left to right. */
  static Layout one(StorageDefinition definition, double room) {
    double pitch = Layout.pitch(definition);
    double height = height(room);
    List<Spot> spots = new ArrayList<>();
    for (int index = 0; index < definition.places(); index++) {
      spots.add(spot(definition, index, (index + 0.5) * pitch, Layout.LABEL, room));
    }
    double width = definition.places() * pitch;
    return new Layout(
        width, height, spots, List.of(Stroke.line(0, Layout.LABEL, width, Layout.LABEL)));
  }

  /** Out above and back below, with the ends joined. */
  static Layout loop(StorageDefinition definition, double room) {
    double pitch = Layout.pitch(definition);
    int half = (definition.places() + 1) / 2;
    double below = height(room) + GAP + Layout.LABEL;
    double bend = pitch / 2;
    List<Spot> spots = new ArrayList<>();
    for (int index = 0; index < definition.places(); index++) {
      int column = index < half ? index : definition.places() - 1 - index;
      spots.add(
          spot(
              definition,
              index,
              bend + (column + 0.5) * pitch,
              index < half ? Layout.LABEL : below,
              room));
    }
    double right = 2 * bend + half * pitch;
    List<Stroke> strokes =
        List.of(
            Stroke.line(0, Layout.LABEL, right, Layout.LABEL),
            Stroke.line(right, Layout.LABEL, right, below),
            Stroke.line(right, below, 0, below),
            Stroke.line(0, below, 0, Layout.LABEL));
    return new Layout(right, height(room) + GAP + height(room), spots, strokes);
  }

  /** Room for a number, the longest tool and its code. */
  private static double height(double room) {
    return Layout.LABEL + room + Layout.LABEL;
  }

  private static Spot spot(
      StorageDefinition definition, int index, double x, double y, double room) {
    double pitch = Layout.pitch(definition);
    return new Spot(
        definition.place(index),
        x,
        y,
        DOWN,
        false,
        false,
        new Box(x - pitch / 2, y - Layout.LABEL, pitch, height(room)),
        Next.UNKNOWN);
  }
}
