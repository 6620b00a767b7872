package arborline.core.solid;

import java.util.List;

/** How far from the axis a contour is at a place. */
final class Reach {

  private final List<Generator> parts;

  Reach(List<Generator> parts) {
    this.parts = parts;
  }

  List<Generator> parts() {
    return parts;
  }

  /** The greatest distance at a place or so little beside it; below 0 where there is nothing. */
  double at(double z, double beside) {
    int low = 0;
    int high = parts.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (parts.get(middle).piece().to() < z - beside) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    double greatest = -1;
    for (int i = low; i < parts.size() && parts.get(i).piece().from() <= z + beside; i++) {
      ContourPiece piece = parts.get(i).piece();
      greatest = Math.max(greatest, piece.r(Math.clamp(z, piece.from(), piece.to())));
    }
    return greatest;
  }
}
