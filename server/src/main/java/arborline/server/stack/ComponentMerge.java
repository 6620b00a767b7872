package arborline.server.stack;

import arborline.core.merge.FieldMerge;
import arborline.core.stack.Component;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Joins two changes of one component; its table of cylinders and cones is one field. */
final class ComponentMerge {

  private ComponentMerge() {}

  /** The joined component. */
  record Merged(Component component, List<FieldMerge.Conflict> conflicts) {}

  static Merged merge(Component base, Component theirs, Component mine) {
    FieldMerge.Merged<Object> merged = FieldMerge.merge(fields(base), fields(theirs), fields(mine));
    return new Merged(component(merged.values()), merged.conflicts());
  }

  private static Map<String, Object> fields(Component part) {
    Map<String, Object> fields = new HashMap<>();
    fields.put("code", part.code());
    fields.put("name", part.name());
    fields.put("kind", part.kind());
    fields.put("machine side", part.machineSide());
    fields.put("workpiece side", part.workSide());
    fields.put("body", part.bodies());
    fields.put("material", part.material());
    fields.put("clamping", part.clamping());
    part.turn().ifPresent(turn -> fields.put("turned axis", turn));
    fields.put("properties", part.properties());
    return fields;
  }

  @SuppressWarnings("unchecked")
  private static Component component(Map<String, Object> fields) {
    return new Component(
        (String) fields.get("code"),
        (String) fields.get("name"),
        (Component.Kind) fields.get("kind"),
        (String) fields.get("machine side"),
        (String) fields.get("workpiece side"),
        (List<arborline.core.stack.Frustum>) fields.get("body"),
        (arborline.core.stack.Material) fields.get("material"),
        (java.math.BigDecimal) fields.get("clamping"),
        Optional.ofNullable((Component.Turn) fields.get("turned axis")),
        (java.util.SortedMap<String, String>) fields.get("properties"));
  }
}
