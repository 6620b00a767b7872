package arborline.server.tool;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Where tools are held; answered by whoever keeps them in libraries. */
public interface Holdings {

  /** A library that holds a tool, and its number there. */
  record UsedIn(long libraryId, String library, int number) {}

  List<UsedIn> of(long toolId);

  /** The smallest number that each tool has in any library, by tool id. */
  Map<Long, Integer> numbers(Collection<Long> toolIds);
}
