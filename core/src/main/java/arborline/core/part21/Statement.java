package arborline.core.part21;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A statement of a file.
 *
 * @param line on which it begins, from 1
 * @param id of the instance; 0 for a statement of the header and for a section's word
 * @param entities one, or the partial ones of a complex instance
 */
public record Statement(long line, long id, List<Entity> entities) {

  public Statement {
    entities = List.copyOf(entities);
  }

  /** The entity of that name among them. */
  public Optional<Entity> entity(String name) {
    for (Entity entity : entities) {
      if (entity.name().equals(name)) {
        return Optional.of(entity);
      }
    }
    return Optional.empty();
  }

  /** The instances that it refers to, in the order of its arguments. */
  public Stream<Long> references() {
    return entities.stream().flatMap(entity -> Argument.references(entity.arguments()));
  }

  /** The names of its entities, one behind the other. */
  String names() {
    return entities.size() == 1
        ? entities.getFirst().name()
        : entities.stream().map(Entity::name).collect(Collectors.joining(" "));
  }

  /** Strings on the first level, in their order; empty ones left out. */
  List<String> texts() {
    List<String> texts = new ArrayList<>(4);
    for (Entity entity : entities) {
      for (Argument argument : entity.arguments()) {
        if (argument instanceof Argument.Text text && !text.value().isBlank()) {
          texts.add(text.value());
        }
      }
    }
    return texts;
  }

  /** The first of these; empty where there is none. */
  String firstText() {
    for (Entity entity : entities) {
      for (Argument argument : entity.arguments()) {
        if (argument instanceof Argument.Text text && !text.value().isBlank()) {
          return text.value();
        }
      }
    }
    return "";
  }

  /** All numbers, in lists and typed values as well. */
  List<BigDecimal> numbers() {
    if (entities.size() == 1) {
      return Literals.numbers(entities.getFirst().arguments());
    }
    List<BigDecimal> numbers = new ArrayList<>();
    for (Entity entity : entities) {
      numbers.addAll(Literals.numbers(entity.arguments()));
    }
    return numbers;
  }

  /** The first enumeration. */
  Optional<String> word() {
    for (Entity entity : entities) {
      Optional<String> word = Literals.word(entity.arguments());
      if (word.isPresent()) {
        return word;
      }
    }
    return Optional.empty();
  }

  public String name() {
    return entities.isEmpty() ? "" : entities.getFirst().name();
  }
}
