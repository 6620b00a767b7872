package arborline.core.part21;

import java.util.List;
import java.util.Optional;

/** A name and its arguments: {@code ITEM('M-10', $)}. */
public record Entity(String name, List<Argument> arguments) {

  public Entity {
    arguments = List.copyOf(arguments);
  }

  public Argument at(int index) {
    return index < arguments.size() ? arguments.get(index) : Argument.UNSET;
  }

  /** The string at an index; empty where none stands there. */
  public String text(int index) {
    return at(index) instanceof Argument.Text text ? text.value() : "";
  }

  /** True where a string that says something is the first argument. */
  boolean startsWithText() {
    return !text(0).isBlank();
  }

  /** The instance that is referred to at an index; 0 where none is. */
  public long reference(int index) {
    return at(index) instanceof Argument.Reference reference ? reference.id() : 0;
  }

  /** The word at an index; empty where none stands there. */
  public String word(int index) {
    return at(index) instanceof Argument.Word word ? word.value() : "";
  }

  public Optional<String> number(int index) {
    return at(index) instanceof Argument.Number number
        ? Optional.of(number.literal())
        : Optional.empty();
  }

  /** The list at an index; empty where none stands there. */
  public List<Argument> list(int index) {
    return at(index) instanceof Argument.Several several ? several.of() : List.of();
  }
}
