package arborline.core.storage;

import java.math.BigDecimal;
import java.util.HashSet;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Which places tools block in a storage, and which two tools cannot stand where they would. A tool
 * up to the largest diameter beside taken places blocks none; a wider one the smallest number k of
 * places on each side with (diameter + that diameter) / 2 + clearance at most the distance of
 * places k + 1 apart; where it is stated which places a tool covers, these.
 */
public final class Blocking {

  private final Spacing spacing;
  private final StorageLimits limits;
  private final BigDecimal clearance;

  public Blocking(Storage storage) {
    this.spacing = storage.spacing();
    this.limits = storage.definition().limits();
    this.clearance = storage.definition().clearance();
  }

  /** Why two tools cannot stand where they would. */
  public enum Clash {
    /** Both in one place. */
    SAME_PLACE,
    /** The first stands in a place that the second blocks. */
    BLOCKED_BY_OTHER,
    /** The second stands in a place that the first blocks. */
    BLOCKS_OTHER,
    /** Both block one place that cannot be shared. */
    BOTH_BLOCK,
    /** Both are too wide for their distance. */
    TOO_CLOSE
  }

  /** Places that a tool blocks beside its own, by index. */
  public Set<Integer> blocked(ToolBody tool, int at) {
    Set<Integer> blocked = new HashSet<>();
    int plus = tool.overlapStated() ? tool.plus() : byDiameter(tool);
    int minus = tool.overlapStated() ? tool.minus() : plus;
    for (int steps = 1; steps <= Math.min(plus, spacing.places()); steps++) {
      add(blocked, at, steps);
    }
    for (int steps = 1; steps <= Math.min(minus, spacing.places()); steps++) {
      add(blocked, at, -steps);
    }
    return blocked;
  }

  /** How many places a tool blocks on both sides together, where no end of a row cuts them off. */
  public int beside(ToolBody tool) {
    if (spacing.apart()) {
      return 0;
    }
    int both = tool.overlapStated() ? tool.plus() + tool.minus() : 2 * byDiameter(tool);
    return Math.min(both, 2 * (spacing.places() - 1));
  }

  /** How far the blocked places of a tool are from its own at most, in places. */
  public int furthest(ToolBody tool) {
    return spacing.apart()
        ? 0
        : tool.overlapStated() ? Math.max(tool.plus(), tool.minus()) : byDiameter(tool);
  }

  private void add(Set<Integer> blocked, int at, int steps) {
    OptionalInt place = spacing.step(at, steps);
    if (place.isPresent() && place.getAsInt() != at) {
      blocked.add(place.getAsInt());
    }
  }

  /** Places that a tool blocks on each side because it is wide. */
  private int byDiameter(ToolBody tool) {
    BigDecimal most = limits.diameterFull();
    if (most == null || tool.diameter().compareTo(most) <= 0 || spacing.apart()) {
      return 0;
    }
    if (spacing.pitch() == null) {
      return 1;
    }
    BigDecimal needed = half(tool.diameter().add(most)).add(clearance);
    for (int steps = 1; steps < spacing.places(); steps++) {
      if (needed.compareTo(spacing.distance(steps + 1).orElseThrow()) <= 0) {
        return steps;
      }
    }
    return spacing.places();
  }

  /** Why one tool cannot stand in a place while another stands in a second; empty where it can. */
  public Optional<Clash> clash(ToolBody one, int at, ToolBody other, int there) {
    if (at == there) {
      return Optional.of(Clash.SAME_PLACE);
    }
    if (spacing.apart()) {
      return Optional.empty();
    }
    boolean tooClose = tooClose(one, other, spacing.steps(at, there));
    if (!tooClose && spacing.steps(at, there) > furthest(one) + furthest(other)) {
      return Optional.empty();
    }
    Set<Integer> mine = blocked(one, at);
    if (mine.contains(there)) {
      return Optional.of(Clash.BLOCKS_OTHER);
    }
    Set<Integer> theirs = blocked(other, there);
    if (theirs.contains(at)) {
      return Optional.of(Clash.BLOCKED_BY_OTHER);
    }
    boolean alone = alone(one) || alone(other);
    if (alone && mine.stream().anyMatch(theirs::contains)) {
      return Optional.of(Clash.BOTH_BLOCK);
    }
    return tooClose ? Optional.of(Clash.TOO_CLOSE) : Optional.empty();
  }

  /** True where the places that a tool blocks are blocked by nothing else. */
  private boolean alone(ToolBody tool) {
    return tool.overlapStated() || spacing.pitch() == null;
  }

  private boolean tooClose(ToolBody one, ToolBody other, int steps) {
    return !one.overlapStated()
        && !other.overlapStated()
        && spacing
            .distance(steps)
            .filter(distance -> needed(one, other).compareTo(distance) > 0)
            .isPresent();
  }

  /** Distance that two tools need, mm. */
  public BigDecimal needed(ToolBody one, ToolBody other) {
    return half(one.diameter().add(other.diameter())).add(clearance);
  }

  private static BigDecimal half(BigDecimal sum) {
    return sum.divide(BigDecimal.TWO);
  }

  /** Most steps apart at which two of some tools could clash. */
  public int reach(BigDecimal widest, int mostOverlap) {
    int reach = Math.min(spacing.places() - 1, 2 * mostOverlap);
    ToolBody wide =
        new ToolBody(
            widest, BigDecimal.ZERO, BigDecimal.ZERO, BigDecimal.ZERO, null, null, false, null);
    reach = Math.max(reach, Math.max(byDiameter(wide) * 2, mostOverlap + byDiameter(wide)));
    int steps = 1;
    while (steps < spacing.places() && tooClose(wide, wide, steps)) {
      steps++;
    }
    return spacing.apart() ? 0 : Math.min(spacing.places() - 1, Math.max(reach, steps));
  }
}
