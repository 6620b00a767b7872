package arborline.server.explain;

import arborline.core.table.ControlField;
import arborline.core.table.ControlTerms;
import arborline.core.table.TableField;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Names by which fields of tool tables are written down. */
final class FieldNames {

  private static final Map<String, TableField> FIELDS = fields();
  private static final String RADIUS = "radius";

  private FieldNames() {}

  private static Map<String, TableField> fields() {
    Map<String, TableField> fields = new LinkedHashMap<>();
    fields.put("tool", TableField.TOOL);
    fields.put("physical", TableField.PHYSICAL);
    fields.put("sister", TableField.SISTER);
    fields.put("number", TableField.NUMBER);
    fields.put("offset", TableField.OFFSET);
    fields.put("length", TableField.LENGTH);
    fields.put("diameter", TableField.DIAMETER);
    fields.put("x", TableField.X);
    fields.put("z", TableField.Z);
    fields.put("noseRadius", TableField.NOSE_RADIUS);
    fields.put("orientation", TableField.ORIENTATION);
    fields.put("wearLength", TableField.LENGTH_WEAR);
    fields.put("wearDiameter", TableField.DIAMETER_WEAR);
    fields.put("wearX", TableField.X_WEAR);
    fields.put("wearZ", TableField.Z_WEAR);
    fields.put("wearNoseRadius", TableField.NOSE_RADIUS_WEAR);
    return fields;
  }

  /** The field of a name; empty for none. */
  static Optional<TableField> named(String name) {
    return name.equals(RADIUS)
        ? Optional.of(TableField.DIAMETER)
        : Optional.ofNullable(FIELDS.get(name));
  }

  /** All names as they are said where one is wrong. */
  static String all() {
    return String.join(", ", FIELDS.keySet());
  }

  /** Names of fields as a control shows them. */
  static Map<TableField, String> shown(ControlTerms terms) {
    Map<TableField, String> names = new HashMap<>();
    FIELDS.forEach((name, field) -> names.put(field, name));
    terms
        .declared(TableField.DIAMETER)
        .filter(diameter -> diameter.shown() == ControlField.Shown.HALF)
        .ifPresent(diameter -> names.put(TableField.DIAMETER, RADIUS));
    return names;
  }
}
