package arborline.shop;

import java.math.BigDecimal;
import java.util.Map;
import java.util.TreeMap;

/** What a control of registers remembers: by number, inches. */
public record RegisterState(TreeMap<Integer, LengthAndRadius> registers) {

  /** One register; zero where it was never set. */
  public record LengthAndRadius(BigDecimal length, BigDecimal radius) {

    static final LengthAndRadius ZERO =
        new LengthAndRadius(BigDecimal.ZERO.setScale(4), BigDecimal.ZERO.setScale(4));
  }

  public RegisterState {
    registers = new TreeMap<>(registers == null ? Map.of() : registers);
  }

  LengthAndRadius at(int number) {
    return registers.getOrDefault(number, LengthAndRadius.ZERO);
  }
}
