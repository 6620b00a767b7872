package arborline.core.duplicate;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/** Pairs of tools of which somebody said that they are two. */
public final class KeptApart {

  private final Map<Long, Set<Long>> from = new HashMap<>();

  /** Says it of two tools. */
  public void add(long one, long two) {
    from.computeIfAbsent(one, none -> new HashSet<>()).add(two);
    from.computeIfAbsent(two, none -> new HashSet<>()).add(one);
  }

  /** The tools from which one is kept apart. */
  public Set<Long> from(long id) {
    return from.getOrDefault(id, Set.of());
  }
}
