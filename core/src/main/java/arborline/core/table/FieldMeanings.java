package arborline.core.table;

import java.util.Map;
import java.util.TreeMap;

/** What fields of a tool table mean, for people who look at a number and ask which one it is. */
public final class FieldMeanings {

  private static final Map<TableField, String> MEANINGS = meanings();

  private FieldMeanings() {}

  private static Map<TableField, String> meanings() {
    Map<TableField, String> meanings = new TreeMap<>();
    meanings.put(TableField.LENGTH, "from the gauge line to the lowest point of the tool");
    meanings.put(TableField.DIAMETER, "over the cutting edges");
    meanings.put(TableField.X, "across: from the middle of the place to the tip");
    meanings.put(TableField.Z, "along: from the face of the place to the tip");
    meanings.put(TableField.NOSE_RADIUS, "of the corner that cuts");
    meanings.put(
        TableField.ORIENTATION,
        "on which side of its nose the tip is thought to lie: 1 to 8, or 9 for the middle");
    meanings.put(TableField.POINT_ANGLE, "of the cone at the tip, in degrees");
    meanings.put(TableField.PITCH, "of the thread that it cuts");
    meanings.put(TableField.WIDTH, "of the cut");
    meanings.put(TableField.EDGES, "how many edges cut");
    meanings.put(TableField.DIRECTION, "which way it throws the chips");
    meanings.put(TableField.HOOD, "how high the dust hood stands");
    meanings.put(TableField.BLOWER, "whether air blows on the cut");
    meanings.put(TableField.SPINDLE, "for the work of which spindle it is");
    meanings.put(TableField.GROUP, "tools of one group take turns");
    meanings.put(TableField.LIFE_LIMIT, "minutes in the cut until it is used up");
    meanings.put(TableField.LIFE_WARNING, "minutes in the cut from which on it is warned");
    meanings.put(TableField.LIFE_USED, "minutes in the cut, counted by the control");
    meanings.put(TableField.PARTS_LIMIT, "parts until it is used up");
    meanings.put(TableField.PARTS_WARNING, "parts from which on it is warned");
    meanings.put(TableField.PARTS_USED, "parts made, counted by the control");
    meanings.put(TableField.STATUS, "whether the control still uses it");
    meanings.put(TableField.SET, "whether the control takes its sizes for valid");
    return meanings;
  }

  /** What a field means; empty where its name says it, or only its control knows. */
  public static String of(TableField field) {
    return MEANINGS.getOrDefault(field.firstEdge(), "");
  }
}
