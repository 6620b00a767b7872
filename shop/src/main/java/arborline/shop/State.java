package arborline.shop;

import java.math.BigDecimal;
import java.util.Map;
import java.util.TreeMap;

/**
 * Everything a control remembers.
 *
 * @param pockets pocket to tool; a random magazine
 * @param registers tool number to offsets
 * @param spindle pocket whose tool is in the spindle; 0 for none
 */
public record State(
    TreeMap<Integer, PocketTool> pockets, TreeMap<Integer, Register> registers, int spindle) {

  /** A tool in a pocket. */
  public record PocketTool(String tool, int number, String name) {}

  /** Offsets in mm; a length or diameter of null is not set. */
  public record Register(
      BigDecimal length, BigDecimal lengthWear, BigDecimal diameter, BigDecimal diameterWear) {

    static final Register UNSET = new Register(null, BigDecimal.ZERO, null, BigDecimal.ZERO);

    /** A copy with one list of the control's memory changed: 10, 11, 12 or 13. */
    Register with(int list, BigDecimal value) {
      return switch (list) {
        case 10 -> new Register(value, lengthWear, diameter, diameterWear);
        case 11 -> new Register(length, value, diameter, diameterWear);
        case 12 -> new Register(length, lengthWear, value, diameterWear);
        case 13 -> new Register(length, lengthWear, diameter, value);
        default -> throw new IllegalArgumentException("list L" + list + " is not one of 10 to 13");
      };
    }
  }

  public State {
    pockets = new TreeMap<>(pockets == null ? Map.of() : pockets);
    registers = new TreeMap<>(registers == null ? Map.of() : registers);
  }
}
