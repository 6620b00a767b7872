package arborline.core.solid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Queue;
import java.util.SortedSet;
import java.util.TreeSet;

/** The pieces that lie farthest from the axis at each place along it, or nearest to it. */
final class Envelope {

  /** Shorter stretches than this are trouble of the arithmetic, mm. */
  private static final double SHORT = 1e-6;

  private static final Comparator<Bounded> FARTHEST_FIRST =
      Comparator.comparingDouble(Bounded::reach).reversed().thenComparingInt(Bounded::order);

  private static final int STEPS = 60;
  private static final int DEEPEST = 12;

  private final double side;
  private final List<Generator> parts = new ArrayList<>();

  private Envelope(double side) {
    this.side = side;
  }

  static List<Generator> outermost(List<Generator> generators) {
    return new Envelope(1).of(generators);
  }

  static List<Generator> innermost(List<Generator> generators) {
    return new Envelope(-1).of(generators);
  }

  private List<Generator> of(List<Generator> generators) {
    List<Generator> sorted =
        SamePieces.joined(generators).stream()
            .filter(generator -> generator.piece().to() - generator.piece().from() > SHORT)
            .sorted(Comparator.comparingDouble(generator -> generator.piece().from()))
            .toList();
    double[] places = places(sorted);
    SortedSet<Bounded> active = new TreeSet<>(FARTHEST_FIRST);
    Queue<Bounded> ending =
        new PriorityQueue<>(
            Comparator.comparingDouble((Bounded one) -> one.generator().piece().to()));
    int next = 0;
    for (int i = 0; i + 1 < places.length; i++) {
      double from = places[i];
      double to = places[i + 1];
      while (next < sorted.size() && sorted.get(next).piece().from() <= from + SHORT / 2) {
        Bounded begun = Bounded.of(next, sorted.get(next), side);
        active.add(begun);
        ending.add(begun);
        next++;
      }
      while (!ending.isEmpty() && ending.peek().generator().piece().to() < to - SHORT / 2) {
        active.remove(ending.poll());
      }
      stretch(active, from, to, 0);
    }
    return parts;
  }

  /**
   * A piece and how far it reaches at most.
   *
   * @param order in which they begin
   * @param reach farther from the axis, or nearer to it, than any of its points, mm
   */
  private record Bounded(int order, Generator generator, double reach) {

    static Bounded of(int order, Generator generator, double side) {
      double reach =
          switch (generator.piece()) {
            case StraightPiece line -> Math.max(side * line.r0(), side * line.r1());
            case RoundPiece arc -> side * arc.r0() + arc.radius();
          };
      return new Bounded(order, generator, reach);
    }
  }

  private static double[] places(List<Generator> generators) {
    TreeSet<Double> all = new TreeSet<>();
    for (Generator generator : generators) {
      all.add(generator.piece().from());
      all.add(generator.piece().to());
    }
    double[] places = new double[all.size()];
    int count = 0;
    for (double place : all) {
      if (count == 0 || place - places[count - 1] > SHORT) {
        places[count++] = place;
      }
    }
    return Arrays.copyOf(places, count);
  }

  private void stretch(SortedSet<Bounded> active, double from, double to, int depth) {
    if (active.isEmpty() || to - from < SHORT) {
      return;
    }
    double inset = (to - from) * 1e-6;
    Generator first = best(active, from + inset);
    Generator last = best(active, to - inset);
    Generator middle = best(active, (from + to) / 2);
    if (first == last && first == middle || depth >= DEEPEST) {
      add(middle.between(from, to));
      return;
    }
    double cut = first == last ? (from + to) / 2 : crossing(first, last, from, to);
    if (cut - from < SHORT || to - cut < SHORT) {
      add(middle.between(from, to));
      return;
    }
    stretch(active, from, cut, depth + 1);
    stretch(active, cut, to, depth + 1);
  }

  private double crossing(Generator first, Generator last, double from, double to) {
    double low = from;
    double high = to;
    for (int i = 0; i < STEPS; i++) {
      double at = (low + high) / 2;
      if (side * (first.piece().r(at) - last.piece().r(at)) >= 0) {
        low = at;
      } else {
        high = at;
      }
    }
    return (low + high) / 2;
  }

  /** The outermost one at a place; of several that are the same the exact one. */
  private Generator best(SortedSet<Bounded> active, double z) {
    Generator best = active.first().generator();
    double reach = side * best.piece().r(z);
    for (Bounded one : active) {
      if (one.reach() < reach - SHORT) {
        break;
      }
      Generator generator = one.generator();
      double r = side * generator.piece().r(z);
      boolean same = Math.abs(r - reach) < SHORT;
      boolean better =
          same
              ? generator.exact() && !best.exact()
                  || generator.exact() == best.exact() && generator.outside() && !best.outside()
              : r > reach;
      if (better) {
        best = generator;
        reach = same ? reach : r;
      }
    }
    return best;
  }

  private void add(Generator part) {
    Generator before = parts.isEmpty() ? null : parts.getLast();
    boolean goesOn =
        before != null
            && before.exact() == part.exact()
            && before.outside() == part.outside()
            && Math.abs(before.piece().to() - part.piece().from()) < 2 * SHORT
            && before.piece().goesOnIn(part.piece());
    if (goesOn) {
      parts.set(parts.size() - 1, part.with(before.piece().joined(part.piece())));
    } else {
      parts.add(part);
    }
  }
}
