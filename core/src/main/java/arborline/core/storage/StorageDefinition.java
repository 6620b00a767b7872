package arborline.core.storage;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * One storage of a machine as it is written down.
 *
 * @param id short name within its machine: {@code C}
 * @param form which kind of storage it is
 * @param places how many
 * @param prefix what stands before the number of a place; empty for none
 * @param first number of its first place
 * @param pitch distance of neighbouring places in mm, the chord on a round storage; null where
 *     nobody knows it
 * @param closed true where the last place is beside the first
 * @param random true where the control may put a tool back into another place
 * @param seat connection code of its places; null for that of the machine
 * @param clearance room kept between neighbouring tools, mm
 * @param turret what only a turret has; null for others
 */
public record StorageDefinition(
    String id,
    StorageForm form,
    int places,
    String prefix,
    int first,
    @Nullable BigDecimal pitch,
    boolean closed,
    boolean random,
    @Nullable String seat,
    StorageLimits limits,
    BigDecimal clearance,
    @Nullable TurretBody turret) {

  /** More places than any storage has. */
  public static final int MOST_PLACES = 400;

  private static final Pattern NUMBERED = Pattern.compile("([A-Z]{0,3})([1-9]\\d{0,3})");

  public StorageDefinition {
    prefix = prefix == null ? "" : prefix;
    limits = limits == null ? StorageLimits.NONE : limits;
    clearance = clearance == null ? BigDecimal.ZERO : clearance;
  }

  /** What people call a place: {@code 12}, {@code L3}. */
  public String place(int index) {
    return prefix + (first + index);
  }

  /** All places in order. */
  public List<String> all() {
    List<String> all = new ArrayList<>(places);
    for (int index = 0; index < places; index++) {
      all.add(place(index));
    }
    return all;
  }

  /** Where a place comes in the order, from 0 up; empty where it is none of these. */
  public OptionalInt index(String place) {
    Matcher parts = NUMBERED.matcher(place);
    if (!parts.matches() || !parts.group(1).equals(prefix)) {
      return OptionalInt.empty();
    }
    int index = Integer.parseInt(parts.group(2)) - first;
    return index >= 0 && index < places ? OptionalInt.of(index) : OptionalInt.empty();
  }
}
