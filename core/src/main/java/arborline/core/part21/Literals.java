package arborline.core.part21;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Numbers, words and strings among arguments. */
final class Literals {

  private static final int MOST_DIGITS = 40;
  private static final int LARGEST_POWER = 30;

  private Literals() {}

  /** All numbers, in lists and typed values as well; those of no sensible size are left out. */
  static List<BigDecimal> numbers(List<Argument> arguments) {
    List<BigDecimal> numbers = new ArrayList<>(2);
    for (int i = 0; i < arguments.size(); i++) {
      switch (arguments.get(i)) {
        case Argument.Number number -> number(number.literal()).ifPresent(numbers::add);
        case Argument.Typed typed -> numbers.addAll(numbers(typed.entity().arguments()));
        case Argument.Several several -> numbers.addAll(numbers(several.of()));
        default -> {
          // no number
        }
      }
    }
    return numbers;
  }

  /** A number as files write it: {@code 12.}, {@code 1.E-3}, {@code 5}. */
  static Optional<BigDecimal> number(String literal) {
    if (literal.length() > MOST_DIGITS) {
      return Optional.empty();
    }
    try {
      BigDecimal number = new BigDecimal(literal);
      boolean sensible =
          number.signum() == 0
              || Math.abs((long) number.precision() - number.scale()) < LARGEST_POWER;
      return sensible ? Optional.of(plain(number)) : Optional.empty();
    } catch (NumberFormatException none) {
      return Optional.empty();
    }
  }

  /** Without digits that say nothing: {@code 12.0} as {@code 12}. */
  private static BigDecimal plain(BigDecimal number) {
    BigDecimal stripped = number.stripTrailingZeros();
    return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
  }

  /** Strings on the first level, in their order; empty ones too. */
  static List<String> texts(List<Argument> arguments) {
    List<String> texts = new ArrayList<>();
    for (Argument argument : arguments) {
      if (argument instanceof Argument.Text text) {
        texts.add(text.value());
      }
    }
    return texts;
  }

  /** The first enumeration, in a typed value as well. */
  static Optional<String> word(List<Argument> arguments) {
    for (int i = 0; i < arguments.size(); i++) {
      Optional<String> word =
          switch (arguments.get(i)) {
            case Argument.Word found -> Optional.of(found.value());
            case Argument.Typed typed -> word(typed.entity().arguments());
            default -> Optional.empty();
          };
      if (word.isPresent()) {
        return word;
      }
    }
    return Optional.empty();
  }
}
