package arborline.server.physical;

import arborline.core.physical.PhysicalState;
import arborline.core.physical.Serials;
import arborline.core.physical.Whereabouts;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Which physical tools are wanted; null for any.
 *
 * @param text with which a serial or the code of a tool begins
 * @param machine for which they are, or that has them
 */
record PhysicalQuery(
    @Nullable String text,
    @Nullable PhysicalState state,
    Whereabouts.@Nullable Kind where,
    @Nullable String machine,
    @Nullable Long tool) {

  String condition() {
    StringBuilder condition = new StringBuilder();
    if (text != null && !text.isBlank()) {
      condition.append(" and serial like concat(:text, '%')");
    }
    if (state != null) {
      condition.append(" and state = :state");
    }
    if (where != null) {
      condition.append(" and where_kind = :where");
    }
    if (machine != null) {
      condition.append(" and (machine_id = :machine or for_machine = :machine)");
    }
    if (tool != null) {
      condition.append(" and tool_id = :tool");
    }
    return condition.toString();
  }

  Map<String, Object> parameters() {
    Map<String, Object> parameters = new HashMap<>();
    if (text != null && !text.isBlank()) {
      parameters.put("text", literal(ascii(Serials.key(text))));
    }
    if (state != null) {
      parameters.put("state", state.name());
    }
    if (where != null) {
      parameters.put("where", where.name());
    }
    if (machine != null) {
      parameters.put("machine", machine);
    }
    if (tool != null) {
      parameters.put("tool", tool);
    }
    return parameters;
  }

  /** No serial has anything else, and it cannot be compared with one. */
  static String ascii(String text) {
    return text.replaceAll("[^ -~]", "?");
  }

  private static String literal(String text) {
    return text.replace("\\", "\\\\").replace("_", "\\_").replace("%", "\\%");
  }
}
