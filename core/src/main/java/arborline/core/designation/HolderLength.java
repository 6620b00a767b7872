package arborline.core.designation;

import java.util.Map;
import java.util.Optional;

/** Holder lengths LF in mm. Source: ISO 5608, position 8, and its standard length per section. */
final class HolderLength {

  private static final Map<Character, Integer> LETTERS =
      Map.ofEntries(
          Map.entry('A', 32),
          Map.entry('B', 40),
          Map.entry('C', 50),
          Map.entry('D', 60),
          Map.entry('E', 70),
          Map.entry('F', 80),
          Map.entry('G', 90),
          Map.entry('H', 100),
          Map.entry('J', 110),
          Map.entry('K', 125),
          Map.entry('L', 140),
          Map.entry('M', 150),
          Map.entry('N', 160),
          Map.entry('P', 170),
          Map.entry('Q', 180),
          Map.entry('R', 200),
          Map.entry('S', 250),
          Map.entry('T', 300),
          Map.entry('U', 350),
          Map.entry('V', 400),
          Map.entry('W', 450),
          Map.entry('Y', 500));
  private static final Map<String, Integer> SECTIONS =
      Map.ofEntries(
          Map.entry("0808", 60),
          Map.entry("1010", 70),
          Map.entry("1212", 80),
          Map.entry("1616", 100),
          Map.entry("2020", 125),
          Map.entry("2525", 150),
          Map.entry("3225", 170),
          Map.entry("3232", 170),
          Map.entry("4032", 200),
          Map.entry("4040", 250),
          Map.entry("5050", 300));

  /** All letters that are known. */
  static final String ALL = "A B C D E F G H J K L M N P Q R S T U V W X Y";

  private HolderLength() {}

  /** The length of a letter; X is special and gives none. */
  static Optional<Integer> of(char letter) {
    return Optional.ofNullable(LETTERS.get(letter));
  }

  /** The letter of a length; nothing where no letter says it. */
  static Optional<Character> letter(int length) {
    return LETTERS.entrySet().stream()
        .filter(letter -> letter.getValue() == length)
        .map(Map.Entry::getKey)
        .findFirst();
  }

  static boolean known(char letter) {
    return letter == 'X' || LETTERS.containsKey(letter);
  }

  /** The standard length of a section, which a dash stands for. */
  static Optional<Integer> ofSection(String section) {
    return Optional.ofNullable(SECTIONS.get(section));
  }
}
