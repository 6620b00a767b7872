package arborline.core.solid;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Pieces of one line or circle that overlap, as one: a cylinder that flutes cut into a thousand
 * lands is one piece of a contour.
 */
final class SamePieces {

  private static final double GRID = 1e6;
  private static final double TOUCH = 1e-6;

  private SamePieces() {}

  static List<Generator> joined(List<Generator> generators) {
    Map<Object, List<Generator>> groups = new LinkedHashMap<>();
    for (Generator generator : generators) {
      groups.computeIfAbsent(key(generator), same -> new ArrayList<>()).add(generator);
    }
    List<Generator> joined = new ArrayList<>();
    groups.values().forEach(same -> join(same, joined));
    return joined;
  }

  private record Key(
      boolean round, boolean exact, boolean outside, boolean outer, long a, long b, long c) {}

  private static Key key(Generator generator) {
    return switch (generator.piece()) {
      case StraightPiece line -> {
        double slope = (line.r1() - line.r0()) / Math.max(line.to() - line.from(), 1e-12);
        yield new Key(
            false,
            generator.exact(),
            generator.outside(),
            true,
            rounded(slope),
            rounded(line.r0() - slope * line.from()),
            0);
      }
      case RoundPiece arc ->
          new Key(
              true,
              generator.exact(),
              generator.outside(),
              arc.outer(),
              rounded(arc.z0()),
              rounded(arc.r0()),
              rounded(arc.radius()));
    };
  }

  private static long rounded(double value) {
    return Math.round(value * GRID);
  }

  private static void join(List<Generator> same, List<Generator> joined) {
    same.sort(Comparator.comparingDouble(one -> one.piece().from()));
    Generator open = same.getFirst();
    for (Generator next : same.subList(1, same.size())) {
      if (next.piece().from() > open.piece().to() + TOUCH) {
        joined.add(open);
        open = next;
      } else if (next.piece().to() > open.piece().to()) {
        open = open.with(open.piece().joined(next.piece()));
      }
    }
    joined.add(open);
  }
}
