package arborline.core.designation;

import arborline.core.designation.ShankDesignation.Section;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Section and length of external holders in inches, as {@code MCLNR 164D} states them. Source: ANSI
 * B212.5: of a square shank the sixteenths of an inch; else eighths of its width, then quarters of
 * its height; the length by a letter.
 */
final class InchShank {

  private static final List<String> SQUARE = List.of("08", "10", "12", "16", "20", "24", "32");
  private static final List<String> OBLONG = List.of("64", "66", "85", "86", "88");
  private static final Map<Character, String> LENGTHS =
      Map.of('A', "4", 'B', "4.5", 'C', "5", 'D', "6", 'E', "7", 'F', "8");
  private static final BigDecimal SIXTEENTH = new BigDecimal("1.5875");

  private InchShank() {}

  /** Height and width in mm; refused where no shank has them. */
  static Section section(String code) {
    if (SQUARE.contains(code)) {
      BigDecimal side = millimetres(Integer.parseInt(code));
      return new Section(side, side);
    }
    if (OBLONG.contains(code)) {
      return new Section(
          millimetres(4 * (code.charAt(1) - '0')), millimetres(2 * (code.charAt(0) - '0')));
    }
    throw new WrongDesignation(
        "shank-size",
        "position 6: inch section %s not in the series %s, %s"
            .formatted(code, String.join(" ", SQUARE), String.join(" ", OBLONG)));
  }

  private static BigDecimal millimetres(int sixteenths) {
    return SIXTEENTH.multiply(BigDecimal.valueOf(sixteenths)).stripTrailingZeros();
  }

  /** Length in mm; refused where the letter is none. */
  static BigDecimal length(char letter) {
    return Optional.ofNullable(LENGTHS.get(letter))
        .map(inches -> new BigDecimal(inches).multiply(new BigDecimal("25.4")).stripTrailingZeros())
        .orElseThrow(() ->
            new WrongDesignation(
                "shank-length",
                "position 8: length letter %s is not defined in inches; allowed are A B C D E F"
                    .formatted(letter)));
  }
}
