package arborline.core.machine;

import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;

/**
 * How tool number, place, offset number and physical tool go together at a machine.
 *
 * @param from first number that libraries give tools of this machine; null for no range
 * @param to the last of them
 */
public record Numbering(Scheme scheme, @Nullable Integer from, @Nullable Integer to) {

  /** Four ways of telling tools apart. */
  public enum Scheme {
    /** Number, place and offset number are one. */
    NUMBER_IS_PLACE,
    /** A tool keeps its number whatever place it is in. */
    NUMBER_APART,
    /** As apart, and several tools of one number take turns. */
    SISTER_GROUPS,
    /** A library number, for which each program has a number of its own. */
    PROGRAM_NUMBERS
  }

  /** Why a number is odd at a machine of this numbering; empty where it is not. */
  public Optional<String> question(long number) {
    return from == null || to == null || number >= from && number <= to
        ? Optional.empty()
        : Optional.of(
            "number %d is outside %d to %d, the numbers of this machine"
                .formatted(number, from, to));
  }

  /**
   * The next number that no tool has: in the range of the machine, above the given one before below
   * it; above it where there is no range or none of it is free.
   */
  public long nextFree(long number, Set<Long> taken) {
    long above = number + 1;
    if (from != null && to != null) {
      long first = Math.max(above, from);
      OptionalLong free =
          LongStream.concat(LongStream.rangeClosed(first, to), LongStream.rangeClosed(from, to))
              .filter(candidate -> !taken.contains(candidate))
              .findFirst();
      if (free.isPresent()) {
        return free.getAsLong();
      }
    }
    return LongStream.iterate(above, next -> next + 1)
        .filter(candidate -> !taken.contains(candidate))
        .findFirst()
        .orElseThrow();
  }

  /** Several tools may have one number, and take turns. */
  public boolean sisters() {
    return scheme == Scheme.SISTER_GROUPS;
  }

  /** Number and place are one. */
  public boolean numberIsPlace() {
    return scheme == Scheme.NUMBER_IS_PLACE;
  }
}
