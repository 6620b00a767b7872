package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.quantity.Unit;
import com.google.auto.service.AutoService;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Reads MTConnect CuttingTool assets, writes a G10 program for the registers and a tab-separated
 * table for the pockets. A tool's number is the number of its registers. Offsets go first, so that
 * no pocket ever points to a tool with the offsets of another one. A register without a value
 * ({@code G10 L12 P5}) is not set.
 */
@AutoService(ControlDialect.class)
public final class AssetOffsetDialect implements ControlDialect {

  public static final String ASSETS = "assets";
  public static final String OFFSETS = "offsets.nc";
  public static final String POCKETS = "pockets.tsv";

  private static final int HIGHEST_NUMBER = 9999;
  private static final Map<TableField, String> LISTS =
      Map.of(
          TableField.LENGTH, "L10",
          TableField.LENGTH_WEAR, "L11",
          TableField.DIAMETER, "L12",
          TableField.DIAMETER_WEAR, "L13");
  private static final List<TableField> REGISTERS =
      List.of(
          TableField.LENGTH, TableField.DIAMETER, TableField.LENGTH_WEAR, TableField.DIAMETER_WEAR);
  private static final Set<TableField> IDENTITY =
      Set.of(TableField.TOOL, TableField.NUMBER, TableField.NAME);

  @Override
  public String id() {
    return "assets-g10";
  }

  @Override
  public String title() {
    return "MTConnect assets, G10 files";
  }

  @Override
  public List<ControlField> fields(Machine machine) {
    int decimals = machine.habits().decimals();
    return Register.of(machine).fields(machine.habits().wearApart()).stream()
        .map(field -> field.field().measured() ? field.decimals(decimals) : field)
        .map(field -> field.most(Register.most(machine, field.field())))
        .toList();
  }

  @Override
  public List<String> documents() {
    return List.of(ASSETS);
  }

  @Override
  public Optional<Instant> clock(Map<String, byte[]> documents) {
    return ControlClock.behind(documents.get(ASSETS), "creationTime=\"");
  }

  @Override
  public ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException {
    ControlTable read =
        CuttingToolAssets.read(
            new ByteArrayInputStream(documents.get(ASSETS)), ControlTerms.of(machine, this));
    return read.with(this::registered);
  }

  @Override
  public TableEntry registered(TableEntry entry) {
    String number = entry.get(TableField.NUMBER);
    return number == null ? entry : entry.with(TableField.OFFSET, number);
  }

  @Override
  public Optional<String> refusal(Machine machine, TableEntry entry) {
    return KeptCodes.refusal(machine, entry.get(TableField.TOOL))
        .or(() -> KeptNumbers.refusal(machine, entry, HIGHEST_NUMBER));
  }

  @Override
  public List<ControlFile> write(Machine machine, ControlTable now, List<RowWrite> rows) {
    List<ControlFile> files = new ArrayList<>(2);
    String offsets = offsets(rows);
    if (!offsets.isEmpty()) {
      files.add(
          new ControlFile(
              OFFSETS,
              "text/plain;charset=US-ASCII",
              "%%\n(%s TOOL OFFSETS)\n%s G90\n%sM30\n%%\n"
                  .formatted(
                      machine.habits().fit(machine.name()),
                      machine.habits().lengths() == Unit.INCH ? "G20" : "G21",
                      offsets)));
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

  private static String offsets(List<RowWrite> rows) {
    StringBuilder text = new StringBuilder();
    for (RowWrite row : rows) {
      String register = row.target().get(TableField.NUMBER);
      for (TableField field : register == null ? List.<TableField>of() : REGISTERS) {
        if (row.fields().contains(field)) {
          String value = row.target().get(field);
          text.append("G10 %s P%s".formatted(LISTS.get(field), register))
              .append(value == null ? "" : " R" + pointed(row, field))
              .append('\n');
        }
      }
    }
    return text.toString();
  }

  private static String pockets(Machine machine, List<RowWrite> rows) {
    StringBuilder text = new StringBuilder();
    for (RowWrite row : rows) {
      TableEntry target = row.target();
      if (row.fields().stream().noneMatch(IDENTITY::contains)) {
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
  private static String pointed(RowWrite row, TableField field) {
    String text = row.target().number(field).stripTrailingZeros().toPlainString();
    return text.contains(".") ? text : text + ".";
  }
}
