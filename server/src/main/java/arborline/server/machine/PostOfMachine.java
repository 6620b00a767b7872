package arborline.server.machine;

import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What comes to a machine with the post that it works with. */
public interface PostOfMachine {

  /** Of a machine; empty where it works with none. */
  Optional<Brought> of(String machineId);

  /**
   * What a post brings.
   *
   * @param library from which tools are picked; null where it brings none
   * @param edition of it; null for none in particular
   * @param defaults what operations begin with at the machine, by key
   */
  record Brought(
      String name, @Nullable Long library, @Nullable Long edition, Map<String, String> defaults) {}
}
