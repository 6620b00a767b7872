package arborline.server.library;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
            || names.equals(List.of(ListKey.SECTION, ListKey.CODE))
            || names.equals(List.of(ListKey.HOLDER, ListKey.CODE))
            || names.equals(List.of(ListKey.MATERIAL, ListKey.CODE))
            || names.equals(List.of(ListKey.STANDING, ListKey.CODE)));
  }

  /** True where codes alone order it, either way. */
  boolean byCode() {
    return keys.equals(List.of(new Key(ListKey.CODE, down)));
  }

  /** The values of all keys. */
  String columns() {
    return keys.stream().map(key -> key.of().expression()).collect(Collectors.joining(", "));
  }

  String joins() {
    return keys.stream().map(key -> key.of().join()).collect(Collectors.joining());
  }

  String order() {
    return keys.stream()
            .map(key -> key.of().expression() + (key.down() ? " desc, " : ", "))
            .collect(Collectors.joining())
        + (down ? "e.id desc" : "e.id");
  }

  /** What lies behind the end of a page. */
  ListCondition beyond(ListCursor cursor) {
    String sql = "e.id %s ?".formatted(down ? "<" : ">");
    List<Object> values = new ArrayList<>(List.of(cursor.id()));
    for (int i = keys.size() - 1; i >= 0; i--) {
      Key key = keys.get(i);
      sql =
          "%1$s %2$s= ? and (%1$s %2$s ? or %3$s)"
              .formatted(key.of().expression(), key.down() ? "<" : ">", sql);
      values.addAll(0, Collections.nCopies(2, cursor.values().get(i)));
    }
    return new ListCondition(" and " + sql, values);
  }
}
