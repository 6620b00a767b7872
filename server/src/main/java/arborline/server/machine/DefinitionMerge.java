package arborline.server.machine;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Joins two changes of a definition field by field. Items of a list that have an id, a name or a
 * number are told apart by it; other lists are one field. Numbers are equal by size.
 */
final class DefinitionMerge {

  private static final List<String> KEYS = List.of("id", "name", "number");

  private final List<String> conflicts = new ArrayList<>();

  /**
   * A joined definition.
   *
   * @param conflicts fields that both changed differently; ours stands there
   */
  record Joined(JsonNode definition, List<String> conflicts) {}

  /** Joins what others made of a definition with what somebody made of the same. */
  static Joined of(JsonNode base, JsonNode theirs, JsonNode ours) {
    DefinitionMerge merge = new DefinitionMerge();
    JsonNode joined = merge.join("", base, theirs, ours);
    return new Joined(joined, List.copyOf(merge.conflicts));
  }

  private @Nullable JsonNode join(
      String at, @Nullable JsonNode base, @Nullable JsonNode theirs, @Nullable JsonNode ours) {
    if (same(base, theirs) || same(theirs, ours)) {
      return ours;
    }
    if (same(base, ours)) {
      return theirs;
    }
    if (theirs instanceof ObjectNode && ours instanceof ObjectNode) {
      return objects(at, base, theirs, ours);
    }
    if (keyed(theirs) && keyed(ours) && (base == null || keyed(base))) {
      return lists(at, base, theirs, ours);
    }
    conflicts.add(at.isEmpty() ? "definition" : at);
    return ours;
  }

  private JsonNode objects(String at, @Nullable JsonNode base, JsonNode theirs, JsonNode ours) {
    ObjectNode joined = JsonNodeFactory.instance.objectNode();
    Set<String> fields = new LinkedHashSet<>(ours.propertyNames());
    fields.addAll(theirs.propertyNames());
    for (String field : fields) {
      JsonNode value =
          join(
              at.isEmpty() ? field : at + "." + field,
              base == null ? null : base.get(field),
              theirs.get(field),
              ours.get(field));
      if (value != null) {
        joined.set(field, value);
      }
    }
    return joined;
  }

  private JsonNode lists(String at, @Nullable JsonNode base, JsonNode theirs, JsonNode ours) {
    Map<String, JsonNode> before = base == null ? Map.of() : items(base);
    Map<String, JsonNode> mine = items(ours);
    Map<String, JsonNode> others = items(theirs);
    Set<String> keys = new LinkedHashSet<>(mine.keySet());
    keys.addAll(others.keySet());
    ArrayNode joined = JsonNodeFactory.instance.arrayNode();
    for (String key : keys) {
      JsonNode item =
          join("%s[%s]".formatted(at, key), before.get(key), others.get(key), mine.get(key));
      if (item != null) {
        joined.add(item);
      }
    }
    return joined;
  }

  private static Map<String, JsonNode> items(JsonNode list) {
    Map<String, JsonNode> items = new LinkedHashMap<>();
    list.forEach(item -> items.put(key(item), item));
    return items;
  }

  private static @Nullable String key(JsonNode item) {
    for (String key : KEYS) {
      JsonNode value = item.get(key);
      if (value != null && !value.isNull()) {
        return value.asString();
      }
    }
    return null;
  }

  /** True for a list whose items can be told apart. */
  private static boolean keyed(@Nullable JsonNode list) {
    if (!(list instanceof ArrayNode)) {
      return false;
    }
    Set<String> keys = new LinkedHashSet<>();
    for (JsonNode item : list) {
      if (!(item instanceof ObjectNode) || key(item) == null || !keys.add(key(item))) {
        return false;
      }
    }
    return true;
  }

  private static boolean same(@Nullable JsonNode one, @Nullable JsonNode other) {
    if (one == null || other == null) {
      return (one == null || one.isNull()) && (other == null || other.isNull());
    }
    return one.equals(DefinitionMerge::compared, other);
  }

  /** Zero where two values are one: numbers by size. */
  private static int compared(JsonNode one, JsonNode other) {
    if (one.isNumber() && other.isNumber()) {
      return one.decimalValue().compareTo(other.decimalValue());
    }
    return one.equals(other) ? 0 : 1;
  }
}
