package arborline.core.loadplan;

import arborline.core.storage.ToolBody;
import java.util.Map;
import java.util.Optional;

/**
 * A tool of a load.
 *
 * @param body as most storages meet it
 * @param elsewhere as single storages meet it, which take it in another holder
 * @param closed places where it cannot work, and why
 * @param material family of work that it is wanted for; empty where nobody said
 * @param dedicated family that it has cut already; empty where it has cut nothing
 */
public record LoadTool(
    ToolBody body,
    Map<Integer, ToolBody> elsewhere,
    Map<LoadPlace, String> closed,
    Optional<String> material,
    Optional<String> dedicated) {

  public LoadTool {
    elsewhere = Map.copyOf(elsewhere);
    closed = Map.copyOf(closed);
  }

  /** A tool that is the same everywhere. */
  public LoadTool(ToolBody body, Optional<String> material, Optional<String> dedicated) {
    this(body, Map.of(), Map.of(), material, dedicated);
  }

  /** As a storage meets it. */
  public ToolBody in(int storage) {
    return elsewhere.getOrDefault(storage, body);
  }

  /** True where it has cut another family of work than it is wanted for. */
  boolean cutOther() {
    return material.isPresent() && dedicated.isPresent() && !material.equals(dedicated);
  }
}
