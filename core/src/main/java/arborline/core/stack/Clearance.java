package arborline.core.stack;

import arborline.core.tool.outline.Point;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Whether a stack clears a wall beside it.
 *
 * @param clear true where nothing but the edges comes near
 * @param touching code of the part that touches first, seen from the tip
 * @param at distance of the first touch from the tip, mm
 * @param shortest shortest overhang that clears; empty where none does with the shank still held
 * @param sentence the same in a sentence
 */
public record Clearance(
    boolean clear,
    Optional<String> touching,
    double at,
    Optional<Double> shortest,
    String sentence) {

  private static final double TOUCH = 1e-6;

  /** Judges a wall. */
  public static Clearance of(Stack stack, Wall wall) {
    StackShape shape = stack.shape();
    double height = wall.height();
    double distance = wall.distance();
    Touch cutter = first(shape, height, distance, true);
    Touch holder = first(shape, height, distance, false);
    if (cutter == null && holder == null) {
      double nearest = nearestHolder(shape, distance);
      double shortest = Math.max(0, shape.overhang() - (nearest - height));
      return new Clearance(
          true,
          Optional.empty(),
          0,
          Double.isFinite(nearest) ? Optional.of(shortest) : Optional.empty(),
          Double.isFinite(nearest)
              ? sentence("clears; %.1f mm of overhang would be enough", shortest)
              : "clears at any overhang");
    }
    if (cutter != null) {
      return new Clearance(
          false,
          Optional.of(cutter.code()),
          cutter.at(),
          Optional.empty(),
          sentence(
              "the shank of %s touches %.1f mm above the tip: no overhang clears",
              cutter.code(), cutter.at()));
    }
    double needed = shape.overhang() + height - nearestHolder(shape, distance);
    double longest = stack.longestOverhang();
    boolean held = needed <= longest + TOUCH;
    return new Clearance(
        false,
        Optional.of(holder.code()),
        holder.at(),
        held ? Optional.of(needed) : Optional.empty(),
        sentence(
            held
                ? "%s touches %.1f mm above the tip; %.1f mm of overhang clear"
                : "%s touches %.1f mm above the tip; %.1f mm of overhang would clear,"
                    + " but the shank is held up to %.1f mm only",
            holder.code(),
            holder.at(),
            needed,
            longest));
  }

  private static String sentence(String sentence, Object... numbers) {
    return String.format(Locale.ROOT, sentence, numbers);
  }

  private record Touch(String code, double at) {}

  private static Touch first(StackShape shape, double height, double distance, boolean cutter) {
    List<StackShape.Span> spans = shape.spans().reversed();
    for (StackShape.Span span : spans) {
      if (span.cutter() == cutter) {
        double at = nearest(span, shape.length(), distance);
        if (at < height - TOUCH) {
          return new Touch(span.code(), at);
        }
      }
    }
    return null;
  }

  private static double nearestHolder(StackShape shape, double distance) {
    return shape.spans().stream()
        .filter(span -> !span.cutter())
        .mapToDouble(span -> nearest(span, shape.length(), distance))
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** How far from the tip a part first stands out beyond a distance from the axis. */
  private static double nearest(StackShape.Span span, double length, double distance) {
    List<Point> profile = span.profile();
    for (int i = profile.size() - 1; i > 0; i--) {
      Point front = profile.get(i);
      Point back = profile.get(i - 1);
      if (front.r() > distance + TOUCH) {
        return length - front.z();
      }
      if (back.r() > distance + TOUCH && back.z() < front.z()) {
        double share = (distance - front.r()) / (back.r() - front.r());
        return length - front.z() + share * (front.z() - back.z());
      }
      if (back.r() > distance + TOUCH) {
        return length - back.z();
      }
    }
    return Double.POSITIVE_INFINITY;
  }
}
