package arborline.server.tool;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Where tools are held; answered by whoever keeps them in libraries. */
public interface Holdings {

  /**
   * A library that holds a tool.
   *
   * @param number that the tool has there
   * @param section in which it stands, as one text; empty for none
   * @param pinned true where the library stays at its version
   * @param versionId of the version that it holds
   */
  record UsedIn(
      long libraryId, String library, int number, String section, boolean pinned, long versionId) {}

  List<UsedIn> of(long toolId);

  /**
   * The libraries of several tools, by tool id, those first in which they have the smallest number.
   */
  Map<Long, List<UsedIn>> of(Collection<Long> toolIds);

  /** The smallest number that each tool has in any library, by tool id. */
  Map<Long, Integer> numbers(Collection<Long> toolIds);
}
