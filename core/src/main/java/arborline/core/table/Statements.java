package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.machine.Numbering.Scheme;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.use.ToolUse;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * What the library says of a tool to a control that keeps it: from its sheet, from its place and
 * from how it is used there. Lengths in mm, angles in degrees; what is not known is left out.
 */
public final class Statements {

  private Statements() {}

  /**
   * All that is known, by field.
   *
   * @param orientation tip orientation that follows from the use
   */
  public static Map<TableField, String> of(
      Machine machine, Tool written, ToolUse use, Optional<Integer> orientation) {
    Tool tool = Completed.of(written).tool();
    Map<TableField, String> stated = new TreeMap<>();
    orientation.ifPresent(code -> stated.put(TableField.ORIENTATION, code.toString()));
    if (!use.spindle().isEmpty()) {
      stated.put(TableField.SPINDLE, use.spindle());
    }
    if (machine.numbering().scheme() == Scheme.PROGRAM_NUMBERS) {
      use.offsets().stream()
          .findFirst()
          .ifPresent(first -> stated.put(TableField.PROGRAM_NUMBER, first.toString()));
    }
    if (machine.outputs().hoodFrom() != null) {
      put(stated, TableField.HOOD, use.hood());
    }
    if (machine.outputs().blower()) {
      stated.put(TableField.BLOWER, use.blower() ? "on" : "off");
    }
    tool.word("DIRECTION")
        .map(Statements::cut)
        .ifPresent(cut -> stated.put(TableField.DIRECTION, cut));
    put(stated, TableField.POINT_ANGLE, tool.size("SIG"));
    put(stated, TableField.PITCH, tool.size("TP"));
    put(stated, TableField.WIDTH, tool.size("CW"));
    put(
        stated,
        TableField.EDGES,
        Stream.of("ZEFP", "NOF").map(tool::size).filter(Objects::nonNull).findFirst().orElse(null));
    return stated;
  }

  private static String cut(String direction) {
    return direction.equals("compression") ? direction : direction + "-cut";
  }

  /**
   * A planned row with what is stated of its tool, as far as the control keeps it. What was taken
   * from the control into the plan goes before it.
   */
  public static TableEntry joined(
      TableEntry plan, Map<TableField, String> stated, Collection<TableField> kept) {
    TableEntry joined = plan;
    for (TableField field : kept) {
      String text = stated.get(field);
      if (text != null && plan.get(field) == null) {
        joined = joined.with(field, text);
      }
    }
    boolean measured =
        TableField.SIZES.stream().anyMatch(size -> kept.contains(size) && plan.get(size) != null);
    return kept.contains(TableField.SET) && measured ? joined.with(TableField.SET, "yes") : joined;
  }

  /** The plan's row without what is stated of its tool anyway. */
  public static TableEntry parted(TableEntry joined, Map<TableField, String> stated) {
    TableEntry parted = joined.with(TableField.SET, null);
    for (Map.Entry<TableField, String> statement : stated.entrySet()) {
      if (statement.getValue().equals(parted.get(statement.getKey()))) {
        parted = parted.with(statement.getKey(), null);
      }
    }
    return parted;
  }

  /** The plan's row without anything that was taken from the control instead of a statement. */
  public static TableEntry forgotten(TableEntry plan) {
    TableEntry forgotten = plan;
    for (TableField field : plan.fields().keySet()) {
      forgotten = field.stated() ? forgotten.with(field, null) : forgotten;
    }
    return forgotten;
  }

  private static void put(Map<TableField, String> stated, TableField field, BigDecimal value) {
    if (value != null) {
      stated.put(field, value.toPlainString());
    }
  }
}
