package arborline.core.part21;

import java.util.List;
import java.util.stream.Stream;

/** An argument of a statement. */
public sealed interface Argument {

  /** What stands nowhere, and a string that says nothing: both stand often. */
  Unset UNSET = new Unset();

  Text EMPTY = new Text("");

  /** A string, decoded. */
  record Text(String value) implements Argument {}

  /** A number as it stands there, such as {@code 1.E-3}. */
  record Number(String literal) implements Argument {}

  /** A reference to another instance. */
  record Reference(long id) implements Argument {}

  /** An enumeration without its points, such as {@code MILLI}. */
  record Word(String value) implements Argument {}

  /** Unset or derived. */
  record Unset() implements Argument {}

  record Several(List<Argument> of) implements Argument {}

  /** A typed value, such as {@code LENGTH_MEASURE(5.)}. */
  record Typed(Entity entity) implements Argument {}

  /** What is referred to in arguments, also within lists and typed values. */
  static Stream<Long> references(List<Argument> arguments) {
    return arguments.stream()
        .flatMap(argument ->
            switch (argument) {
              case Reference reference -> Stream.of(reference.id());
              case Several several -> references(several.of());
              case Typed typed -> references(typed.entity().arguments());
              default -> Stream.empty();
            });
  }
}
