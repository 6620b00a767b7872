package arborline.core.storage;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/**
 * How the places of a storage stand to each other. Places are counted from 0 in the plus direction.
 *
 * @param places how many
 * @param pitch distance of neighbours, mm; null where nobody knows it
 * @param closed true where the last is beside the first
 * @param round true where distances are chords, false where they are measured along the row
 * @param apart true where no place has a neighbour
 */
public record Spacing(
    int places, @Nullable BigDecimal pitch, boolean closed, boolean round, boolean apart) {

  private static final int CHORD_DECIMALS = 9;

  static Spacing row(StorageDefinition definition) {
    return new Spacing(definition.places(), definition.pitch(), definition.closed(), false, false);
  }

  static Spacing circle(StorageDefinition definition) {
    return new Spacing(definition.places(), definition.pitch(), definition.closed(), true, false);
  }

  static Spacing apart(StorageDefinition definition) {
    return new Spacing(definition.places(), null, false, false, true);
  }

  /** The place so many steps on; empty beyond an open end, and back at the place itself. */
  public OptionalInt step(int place, int steps) {
    int reached = place + steps;
    if (apart || Math.abs(steps) >= places) {
      return OptionalInt.empty();
    }
    if (closed) {
      return OptionalInt.of(Math.floorMod(reached, places));
    }
    return reached >= 0 && reached < places ? OptionalInt.of(reached) : OptionalInt.empty();
  }

  /** Steps from one place to another, the shorter way round. */
  public int steps(int one, int other) {
    int steps = Math.abs(one - other);
    return closed ? Math.min(steps, places - steps) : steps;
  }

  /** Distance of places so many steps apart in mm; empty where it is not known. */
  public Optional<BigDecimal> distance(int steps) {
    if (apart || pitch == null) {
      return Optional.empty();
    }
    int shorter = closed ? Math.min(steps, Math.abs(places - steps)) : steps;
    if (!round) {
      return Optional.of(pitch.multiply(BigDecimal.valueOf(shorter)));
    }
    double share = Math.sin(steps * Math.PI / places) / Math.sin(Math.PI / places);
    return Optional.of(
        pitch
            .multiply(BigDecimal.valueOf(places == 1 ? 0 : share))
            .setScale(CHORD_DECIMALS, RoundingMode.HALF_UP));
  }
}
