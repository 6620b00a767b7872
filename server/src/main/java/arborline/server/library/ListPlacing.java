package arborline.server.library;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a list is ordered: by some keys, one after the other, and last by the identity of entries.
 *
 * @param keys each with whether the last comes first
 * @param down whether the last identity comes first
 */
record ListPlacing(List<Key> keys, boolean down) {

  /** A key and whether its last value comes first. */
  record Key(ListKey of, boolean down) {}

  ListPlacing {
    keys = List.copyOf(keys);
  }

  /**
   * How a list is grouped and sorted; groups come in their order, whichever way they are sorted.
   *
   * @param group null where it is not grouped
   */
  static ListPlacing of(@Nullable ListOrder group, ListOrder sort, boolean down) {
    Map<ListKey, Boolean> keys = new LinkedHashMap<>();
    if (group != null) {
      keys.put(group.group(), false);
    }
    sort.keys().forEach(key -> keys.putIfAbsent(key, down));
    List<Key> all = new ArrayList<>();
    keys.forEach((key, last) -> all.add(new Key(key, last)));
    return new ListPlacing(all, down);
  }

  Key first() {
    return keys.getFirst();
  }

  /** The first key that not every tool has. */
  Optional<Key> optional() {
    return keys.stream().filter(key -> key.of().optional()).findFirst();
  }

  /** The same without its first key. */
  ListPlacing rest() {
    return new ListPlacing(keys.subList(1, keys.size()), down);
  }

  /** True where an index within a library keeps this order. */
  boolean indexed() {
    List<ListKey> names = keys.stream().map(Key::of).toList();
    boolean oneWay = keys.stream().allMatch(key -> key.down() == down);
    return oneWay
        && (names.equals(List.of(ListKey.CODE))
            || names.equals(List.of(ListKey.DIAMETER, ListKey.CLASS))
            || names.equals(List.of(ListKey.CLASS, ListKey.CODE))
            || names.equals(List.of(ListKey.SECTION, ListKey.CODE)));
  }
}
