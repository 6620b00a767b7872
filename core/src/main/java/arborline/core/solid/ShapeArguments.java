package arborline.core.solid;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import java.util.ArrayList;
import java.util.List;

/** Numbers, references and lists of statements, or the reason why they are not there. */
final class ShapeArguments {

  /** Larger lengths are no tools: 1 km in mm. */
  private static final double LARGEST = 1e6;

  private ShapeArguments() {}

  static Statement statement(Part21Document document, long id) {
    return document
        .instance(id)
        .orElseThrow(() -> new UnusableShapeException(0, "#%d stands nowhere".formatted(id)));
  }

  /** The entity of a name; of a plain instance the only one. */
  static Entity entity(Statement statement, String name) {
    return statement
        .entity(name)
        .orElseThrow(() -> unusable(statement, "is no %s".formatted(name)));
  }

  static UnusableShapeException unusable(Statement statement, String why) {
    return new UnusableShapeException(
        statement.line(), "#%d %s: %s".formatted(statement.id(), statement.name(), why));
  }

  static double real(Statement statement, Argument argument) {
    double number = Double.NaN;
    if (argument instanceof Argument.Number written) {
      number = parsed(written.literal());
    } else if (argument instanceof Argument.Typed typed
        && typed.entity().at(0) instanceof Argument.Number written) {
      number = parsed(written.literal());
    }
    if (Double.isNaN(number)) {
      throw unusable(statement, "a number is missing");
    }
    if (Math.abs(number) > LARGEST) {
      throw unusable(statement, "%s is too large".formatted(number));
    }
    return number;
  }

  private static double parsed(String literal) {
    try {
      return Double.parseDouble(literal);
    } catch (NumberFormatException none) {
      return Double.NaN;
    }
  }

  static double positive(Statement statement, Argument argument) {
    double number = real(statement, argument);
    if (number <= 0) {
      throw unusable(statement, "a size is %s, not above 0".formatted(number));
    }
    return number;
  }

  static List<Long> references(List<Argument> arguments) {
    List<Long> ids = new ArrayList<>();
    for (Argument argument : arguments) {
      if (argument instanceof Argument.Reference reference) {
        ids.add(reference.id());
      }
    }
    return ids;
  }

  static double[] reals(Statement statement, List<Argument> arguments) {
    double[] numbers = new double[arguments.size()];
    for (int i = 0; i < numbers.length; i++) {
      numbers[i] = real(statement, arguments.get(i));
    }
    return numbers;
  }

  static boolean yes(Entity entity, int index) {
    return !entity.word(index).equals("F") && !entity.word(index).equals("FALSE");
  }
}
