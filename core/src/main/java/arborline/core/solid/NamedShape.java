package arborline.core.solid;

import arborline.core.exchange.ItemKind;
import java.util.Optional;

/**
 * What somebody said that a solid is.
 *
 * @param classId our tool class; empty for what is no tool
 * @param turned true where its ends stand the other way round than they are guessed
 */
public record NamedShape(ItemKind kind, String classId, boolean turned) {

  /** Shapes that somebody named before. */
  public interface Known {
    Known NONE = key -> Optional.empty();

    Optional<NamedShape> named(String key);
  }
}
