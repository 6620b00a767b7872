package arborline.core.designation;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/** Clearance letters. Source: ISO 1832, position 2; the same list serves ISO 5608 and ISO 6261. */
public final class Clearance {

  private static final Map<Character, Integer> ANGLES =
      Map.of('A', 3, 'B', 5, 'C', 7, 'D', 15, 'E', 20, 'F', 25, 'G', 30, 'N', 0, 'P', 11);

  /** All letters that are known. */
  static final String LETTERS = "A B C D E F G N O P";

  private Clearance() {}

  /** True for the letters of the list and for O, which says that the angle is special. */
  static boolean known(char letter) {
    return letter == 'O' || ANGLES.containsKey(letter);
  }

  /** Angle in degrees; empty where it is special or the letter unknown. */
  public static OptionalInt angle(char letter) {
    Integer angle = ANGLES.get(letter);
    return angle == null ? OptionalInt.empty() : OptionalInt.of(angle);
  }

  /** The letter of an angle in whole degrees. */
  public static Optional<Character> letter(int angle) {
    return ANGLES.entrySet().stream()
        .filter(letter -> letter.getValue() == angle)
        .map(Map.Entry::getKey)
        .findFirst();
  }
}
