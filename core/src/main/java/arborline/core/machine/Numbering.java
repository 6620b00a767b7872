package arborline.core.machine;

import java.util.Optional;
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

  /** Several tools may have one number, and take turns. */
  public boolean sisters() {
    return scheme == Scheme.SISTER_GROUPS;
  }

  /** Number and place are one. */
  public boolean numberIsPlace() {
    return scheme == Scheme.NUMBER_IS_PLACE;
  }
}
