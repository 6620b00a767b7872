package arborline.shop;

import java.math.BigDecimal;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a turning centre remembers.
 *
 * @param offsets by library number
 * @param stations what each holds
 */
public record LatheState(TreeMap<Integer, Offset> offsets, TreeMap<Integer, Station> stations) {

  public LatheState {
    offsets = new TreeMap<>(offsets == null ? Map.of() : offsets);
    stations = new TreeMap<>(stations == null ? Map.of() : stations);
  }

  /**
   * Geometry and wear of one number, by letter; a letter that is not there is not set.
   *
   * @param set true from touching off until the power goes
   */
  public record Offset(
      TreeMap<String, BigDecimal> geometry, TreeMap<String, BigDecimal> wear, boolean set) {

    public Offset {
      geometry = new TreeMap<>(geometry == null ? Map.of() : geometry);
      wear = new TreeMap<>(wear == null ? Map.of() : wear);
    }

    static final Offset UNSET = new Offset(null, null, false);

    Offset set(boolean now) {
      return new Offset(geometry, wear, now);
    }
  }

  /**
   * What a station holds.
   *
   * @param number in the library
   * @param program number by which programs call it; 0 for none
   */
  public record Station(int number, int program) {}

  Offset at(int number) {
    return offsets.getOrDefault(number, Offset.UNSET);
  }
}
