package arborline.core.part21;

import java.util.List;
import java.util.Optional;

/**
 * A statement of a file.
 *
 * @param line on which it begins, from 1
 * @param id of the instance; 0 for a statement of the header and for a section's word
 * @param entities one, or the partial ones of a complex instance
 */
record Statement(long line, long id, List<Entity> entities) {

  Statement {
    entities = List.copyOf(entities);
  }

  /** The entity of that name among them. */
  Optional<Entity> entity(String name) {
    return entities.stream().filter(entity -> entity.name().equals(name)).findFirst();
  }

  String name() {
    return entities.isEmpty() ? "" : entities.getFirst().name();
  }
}
