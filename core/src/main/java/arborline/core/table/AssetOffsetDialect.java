package arborline.core.table;

import arborline.core.machine.Machine;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Reads MTConnect CuttingTool assets, writes a G10 program for the registers and a tab-separated
 * table for the pockets. Offsets go first, so that no pocket ever points to a tool with the offsets
 * of another one.
 */
@AutoService(ControlDialect.class)
public final class AssetOffsetDialect implements ControlDialect {

  public static final String OFFSETS = "offsets.nc";
  public static final String POCKETS = "pockets.tsv";

  @Override
  public String id() {
    return "assets-g10";
  }

  @Override
  public ControlTable read(InputStream answer) throws IOException {
    return CuttingToolAssets.read(answer);
  }

  @Override
  public List<ControlFile> write(Machine machine, List<RowWrite> rows) {
    List<ControlFile> files = new ArrayList<>(2);
    String offsets = offsets(machine, rows);
    if (!offsets.isEmpty()) {
      files.add(
          new ControlFile(
              OFFSETS,
              "text/plain;charset=US-ASCII",
              "%%\n(%s TOOL OFFSETS)\nG21 G90\n%sM30\n%%\n"
                  .formatted(machine.habits().fit(machine.name()), offsets)));
    }
    String pockets = pockets(machine, rows);
    if (!pockets.isEmpty()) {
      files.add(
          new ControlFile(
              POCKETS,
              "text/tab-separated-values;charset=US-ASCII",
              "pocket\ttool\tnumber\tname\n" + pockets));
    }
    return files;
  }

  private static String offsets(Machine machine, List<RowWrite> rows) {
    StringBuilder text = new StringBuilder();
    for (RowWrite row : rows) {
      String register = row.target().get(TableField.NUMBER);
      if (register == null) {
        continue;
      }
      register(text, machine, row, TableField.LENGTH, "L10", register);
      register(text, machine, row, TableField.DIAMETER, "L12", register);
      if (row.otherTool()) {
        text.append("G10 L11 P%s R0.\n".formatted(register));
        text.append("G10 L13 P%s R0.\n".formatted(register));
      }
    }
    return text.toString();
  }

  private static void register(
      StringBuilder text,
      Machine machine,
      RowWrite row,
      TableField field,
      String list,
      String register) {
    BigDecimal value = row.target().number(field);
    if (row.fields().contains(field) && value != null) {
      BigDecimal shown =
          field == TableField.DIAMETER && !machine.habits().diameterShown()
              ? value.divide(BigDecimal.TWO)
              : value;
      text.append("G10 %s P%s R%s\n".formatted(list, register, decimal(shown, machine)));
    } else if (row.otherTool()) {
      text.append("G10 %s P%s R0.\n".formatted(list, register));
    }
  }

  private static String pockets(Machine machine, List<RowWrite> rows) {
    Set<TableField> identity = Set.of(TableField.TOOL, TableField.NUMBER, TableField.NAME);
    StringBuilder text = new StringBuilder();
    for (RowWrite row : rows) {
      TableEntry target = row.target();
      if (row.fields().stream().noneMatch(identity::contains)) {
        continue;
      }
      text.append(
          target.empty()
              ? row.place() + "\t-\t0\t\n"
              : "%s\t%s\t%s\t%s\n"
                  .formatted(
                      row.place(),
                      target.get(TableField.TOOL),
                      target.get(TableField.NUMBER),
                      machine.habits().fit(orEmpty(target.get(TableField.NAME)))));
    }
    return text.toString();
  }

  private static String orEmpty(String text) {
    return text == null ? "" : text;
  }

  /** A decimal with an explicit point: {@code 120.}, {@code 119.988}. */
  private static String decimal(BigDecimal value, Machine machine) {
    String text =
        value
            .setScale(machine.habits().decimals(), RoundingMode.HALF_UP)
            .stripTrailingZeros()
            .toPlainString();
    return text.contains(".") ? text : text + ".";
  }
}
