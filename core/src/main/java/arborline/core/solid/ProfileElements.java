package arborline.core.solid;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/** A contour as corners and arcs, from its lowest place to its highest. */
final class ProfileElements {

  /** Corners nearer to each other than this are one, mm. */
  private static final double SAME = 1e-5;

  /** How far a chord may lie beside a hollow arc, and a line beside samples, mm. */
  private static final double CHORD = 1e-4;

  private static final int MOST_AT_ONCE = 1000;
  private static final double HALF = 0.999 * Math.PI;

  private final List<ProfileElement> elements = new ArrayList<>();

  private ProfileElements() {}

  static List<ProfileElement> of(Contour contour) {
    ProfileElements profile = new ProfileElements();
    List<Generator> parts = contour.outer();
    int at = 0;
    while (at < parts.size()) {
      int end = at;
      while (end < parts.size() && sampled(parts.get(end)) && follows(parts, at, end)) {
        end++;
      }
      if (end - at > 1) {
        profile.samples(parts.subList(at, end));
        at = end;
      } else {
        profile.piece(parts.get(at).piece());
        at++;
      }
    }
    return profile.elements;
  }

  /** Short straight pieces, such as samples of a curve. */
  private static boolean sampled(Generator part) {
    return part.piece() instanceof StraightPiece;
  }

  private static boolean follows(List<Generator> parts, int from, int at) {
    if (at == from) {
      return true;
    }
    ContourPiece before = parts.get(at - 1).piece();
    ContourPiece next = parts.get(at).piece();
    return Math.abs(before.r(before.to()) - next.r(next.from())) < SAME
        && Math.abs(before.to() - next.from()) < SAME;
  }

  private void piece(ContourPiece piece) {
    corner(piece.from(), piece.r(piece.from()));
    switch (piece) {
      case StraightPiece line -> corner(line.to(), line.r1());
      case RoundPiece arc when arc.outer() -> arc(arc);
      case RoundPiece hollow -> chords(hollow);
    }
  }

  private void corner(double z, double r) {
    double distance = Math.max(0, r);
    boolean same =
        !elements.isEmpty()
            && Math.hypot(elements.getLast().endZ() - z, elements.getLast().endR() - distance)
                < SAME;
    if (!same) {
      elements.add(new ProfileElement.Corner(z, distance));
    }
  }

  private void arc(RoundPiece arc) {
    double start = Math.asin(Math.clamp((arc.from() - arc.z0()) / arc.radius(), -1.0, 1.0));
    double end = Math.asin(Math.clamp((arc.to() - arc.z0()) / arc.radius(), -1.0, 1.0));
    if (end - start > HALF) {
      arc(arc.between(arc.from(), arc.z0()));
      arc(arc.between(arc.z0(), arc.to()));
      return;
    }
    elements.add(
        new ProfileElement.Arc(
            arc.from(),
            Math.max(0, arc.r(arc.from())),
            arc.to(),
            Math.max(0, arc.r(arc.to())),
            arc.radius()));
  }

  private void chords(RoundPiece hollow) {
    double start =
        Math.asin(Math.clamp((hollow.from() - hollow.z0()) / hollow.radius(), -1.0, 1.0));
    double end = Math.asin(Math.clamp((hollow.to() - hollow.z0()) / hollow.radius(), -1.0, 1.0));
    double step = 2 * Math.acos(Math.max(0, 1 - CHORD / hollow.radius()));
    int pieces = Math.clamp((int) Math.ceil((end - start) / step), 1, 500);
    for (int i = 1; i <= pieces; i++) {
      double angle = start + (end - start) * i / pieces;
      double z = hollow.z0() + hollow.radius() * Math.sin(angle);
      corner(z, hollow.r(z));
    }
  }

  private void samples(List<Generator> parts) {
    List<double[]> points = new ArrayList<>();
    ContourPiece first = parts.getFirst().piece();
    points.add(new double[] {first.from(), first.r(first.from())});
    for (Generator part : parts) {
      points.add(new double[] {part.piece().to(), part.piece().r(part.piece().to())});
    }
    boolean[] kept = kept(points);
    for (int i = 0; i < kept.length; i++) {
      if (kept[i]) {
        corner(points.get(i)[0], points.get(i)[1]);
      }
    }
  }

  private record Run(int from, int to) {}

  /** All but points that lie on the line between others. Source: Ramer, Douglas and Peucker. */
  private static boolean[] kept(List<double[]> points) {
    boolean[] kept = new boolean[points.size()];
    Deque<Run> open = new ArrayDeque<>();
    open.push(new Run(0, points.size() - 1));
    kept[0] = true;
    while (!open.isEmpty()) {
      Run run = open.pop();
      kept[run.to()] = true;
      int farthest = run.to() - run.from() > MOST_AT_ONCE ? middle(run) : farthest(points, run);
      if (farthest >= 0) {
        open.push(new Run(farthest, run.to()));
        open.push(new Run(run.from(), farthest));
      }
    }
    return kept;
  }

  /** Long runs are cut first, so that no shape takes more than its time. */
  private static int middle(Run run) {
    return (run.from() + run.to()) / 2;
  }

  private static int farthest(List<double[]> points, Run run) {
    double[] a = points.get(run.from());
    double[] b = points.get(run.to());
    double length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    int farthest = -1;
    double distance = CHORD;
    for (int i = run.from() + 1; i < run.to(); i++) {
      double[] p = points.get(i);
      double beside =
          length == 0
              ? Math.hypot(p[0] - a[0], p[1] - a[1])
              : Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / length;
      if (beside > distance) {
        distance = beside;
        farthest = i;
      }
    }
    return farthest;
  }
}
