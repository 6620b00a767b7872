package arborline.core.storage;

import arborline.core.storage.Layout.Next;
import arborline.core.storage.Layout.Spot;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Which spot is next in a direction: the nearest within 45 degrees of it. */
final class Directions {

  private static final double LEAST = 1e-6;

  private Directions() {}

  static Next next(Spot from, List<Spot> all) {
    return new Next(
        nearest(from, all, 1, 0),
        nearest(from, all, -1, 0),
        nearest(from, all, 0, -1),
        nearest(from, all, 0, 1));
  }

  private static @Nullable String nearest(Spot from, List<Spot> all, int right, int down) {
    return all.stream()
        .filter(spot -> {
          double along = (spot.x() - from.x()) * right + (spot.y() - from.y()) * down;
          double across = (spot.x() - from.x()) * down + (spot.y() - from.y()) * right;
          return along > LEAST && Math.abs(across) <= along + LEAST;
        })
        .min(
            Comparator.comparingDouble(
                spot -> Math.hypot(spot.x() - from.x(), spot.y() - from.y())))
        .map(Spot::place)
        .orElse(null);
  }
}
