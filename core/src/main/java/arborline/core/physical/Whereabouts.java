package arborline.core.physical;

import java.util.Locale;
import java.util.Optional;

/**
 * Where a physical tool is.
 *
 * @param machine id; empty where it is at none
 * @param place of the storage of that machine; empty where it is in none
 */
public record Whereabouts(Kind kind, Optional<String> machine, Optional<String> place) {

  /** What it is in or on. */
  public enum Kind {
    CRIB,
    CART,
    PRESETTER,
    /** A place of the storage of a machine. */
    PLACE,
    SPINDLE
  }

  /** In the tool crib, where all begin. */
  public static final Whereabouts CRIB =
      new Whereabouts(Kind.CRIB, Optional.empty(), Optional.empty());

  /**
   * Checked whereabouts.
   *
   * @throws IllegalArgumentException where a machine or place is missing, or is one too many
   */
  public Whereabouts {
    boolean atMachine = kind == Kind.PLACE || kind == Kind.SPINDLE;
    if (atMachine != machine.isPresent()) {
      throw new IllegalArgumentException(
          atMachine
              ? "say at which machine it is"
              : "%s is at no machine: leave it out".formatted(words(kind)));
    }
    if ((kind == Kind.PLACE) != place.isPresent()) {
      throw new IllegalArgumentException(
          kind == Kind.PLACE
              ? "say in which place of the machine it is"
              : "%s is no place of a storage: leave it out".formatted(words(kind)));
    }
  }

  /** In a place of a machine. */
  public static Whereabouts at(String machine, String place) {
    return new Whereabouts(Kind.PLACE, Optional.of(machine), Optional.of(place));
  }

  /** In the spindle of a machine. */
  public static Whereabouts spindle(String machine) {
    return new Whereabouts(Kind.SPINDLE, Optional.of(machine), Optional.empty());
  }

  /** True where a machine has it. */
  public boolean inMachine() {
    return machine.isPresent();
  }

  /** Of a kind, as people call it: {@code the crib}. */
  public static String words(Kind kind) {
    return "the " + kind.name().toLowerCase(Locale.ROOT);
  }
}
