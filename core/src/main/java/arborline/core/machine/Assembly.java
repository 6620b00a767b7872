package arborline.core.machine;

import arborline.core.stack.Stack;
import arborline.core.stack.StackShape;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What a machine meets of a tool in its holder. Rounded to 0.001.
 *
 * @param length from the gauge line to the tip, mm
 * @param diameter largest, mm
 * @param mass kg
 * @param moment tilting moment at the gauge line, N·m
 * @param connection code of its machine side; empty where nobody knows
 */
public record Assembly(
    BigDecimal length, BigDecimal diameter, BigDecimal mass, BigDecimal moment, String connection) {

  public static Assembly of(Stack stack) {
    StackShape shape = stack.shape();
    return new Assembly(
        rounded(shape.length()),
        rounded(shape.widest()),
        rounded(shape.mass()),
        rounded(shape.moment()),
        stack.components().isEmpty()
            ? stack.cutter().connection()
            : stack.components().getFirst().machineSide());
  }

  private static BigDecimal rounded(double value) {
    BigDecimal rounded =
        BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }
}
