package arborline.core.table;

import arborline.core.tool.Motion;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a program does with a tool, as far as values of the tool table count for it. */
public enum ProgramUse {
  /** Moves with the length, or X and Z, of the tool active. */
  PLAIN_MOVES,
  /** Paths that keep off by the radius of the tool, or of its nose. */
  RADIUS_COMPENSATION,
  /** Canned cycles that drill. */
  DRILLING_CYCLES,
  /** Cycles that cut a thread with a tool of that thread. */
  TAPPING;

  /** What programs usually do with a tool. */
  public static Set<ProgramUse> usual(Motion motion) {
    return switch (motion) {
      case MILLS, TURNS -> EnumSet.of(PLAIN_MOVES, RADIUS_COMPENSATION);
      case DRILLS -> EnumSet.of(PLAIN_MOVES, DRILLING_CYCLES);
      case TAPS -> EnumSet.of(PLAIN_MOVES, TAPPING);
      case STANDS -> EnumSet.of(PLAIN_MOVES);
    };
  }

  /** What somebody said that a program does, with the plain moves that every program has. */
  public static Set<ProgramUse> withMoves(Collection<ProgramUse> stated) {
    Set<ProgramUse> uses = EnumSet.of(PLAIN_MOVES);
    uses.addAll(stated);
    return uses;
  }

  /**
   * What programs do with a tool.
   *
   * @param stated what those of each job that calls it do; empty sets for what is usual
   */
  public static Set<ProgramUse> of(Motion motion, Collection<Set<ProgramUse>> stated) {
    if (stated.isEmpty()) {
      return usual(motion);
    }
    Set<ProgramUse> uses = EnumSet.noneOf(ProgramUse.class);
    stated.forEach(one -> uses.addAll(one.isEmpty() ? usual(motion) : withMoves(one)));
    return uses;
  }

  /** The use of these words; empty for words of none. */
  public static Optional<ProgramUse> named(String words) {
    return Arrays.stream(values()).filter(use -> use.words().equals(words)).findFirst();
  }

  /** As people say it: {@code radius compensation}. */
  public String words() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
