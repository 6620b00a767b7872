package arborline.core.table;

import arborline.core.machine.Machine;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Three files that a router keeps its tools in and that must be of one save: the tool database
 * (what tools are), the machine list (hood and blower of each), the tool table (which stands
 * where). Each begins with the number of its save. They are written whole and together, under the
 * next number; files of different saves can be read, and the next writing brings them together.
 */
@AutoService(ControlDialect.class)
public final class SavedFilesDialect implements ControlDialect {

  public static final String DATABASE = "TOOLS.DB";
  public static final String MACHINE_LIST = "MACHINE.LST";
  public static final String TABLE = "TOOLS.TBL";

  private static final int HIGHEST_NUMBER = 9999;
  private static final List<TableField> OF_TOOL =
      List.of(
          TableField.TOOL,
          TableField.NAME,
          TableField.LENGTH,
          TableField.DIAMETER,
          TableField.DIRECTION);
  private static final List<TableField> OF_MACHINE = List.of(TableField.HOOD, TableField.BLOWER);

  @Override
  public String id() {
    return "saved-files";
  }

  @Override
  public String title() {
    return "three saved files";
  }

  @Override
  public List<ControlField> fields(Machine machine) {
    List<ControlField> fields = new ArrayList<>();
    for (TableField field : List.of(TableField.NUMBER, TableField.OFFSET)) {
      fields.add(ControlField.of(field).scope(ControlField.Scope.PLACE));
    }
    for (TableField field : OF_TOOL) {
      ControlField kept =
          ControlField.of(field)
              .scope(ControlField.Scope.TOOL)
              .decimals(machine.habits().decimals())
              .most(Register.most(machine, field));
      boolean radius = field.equals(TableField.DIAMETER) && !machine.habits().diameterShown();
      fields.add(radius ? kept.shown(ControlField.Shown.HALF) : kept);
    }
    OF_MACHINE.forEach(
        field -> fields.add(ControlField.of(field).decimals(machine.habits().decimals())));
    return fields;
  }

  @Override
  public List<String> documents() {
    return List.of(DATABASE, MACHINE_LIST, TABLE);
  }

  @Override
  public ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException {
    SavedFile database = SavedFile.read(DATABASE, documents.get(DATABASE), OF_TOOL.size() + 1);
    SavedFile list = SavedFile.read(MACHINE_LIST, documents.get(MACHINE_LIST), 3);
    SavedFile table = SavedFile.read(TABLE, documents.get(TABLE), 2);
    Map<String, TableEntry> tools = new TreeMap<>(PlaceOrder.BY_NUMBER);
    for (List<String> cells : database.rows()) {
      TableEntry tool = filled(TableEntry.EMPTY, OF_TOOL, cells);
      if (tools.put(cells.getFirst(), numbered(tool, cells.getFirst())) != null) {
        throw new IOException("%s has %s twice".formatted(DATABASE, cells.getFirst()));
      }
    }
    List<String> troubles = new ArrayList<>();
    for (List<String> cells : list.rows()) {
      TableEntry tool = tools.get(cells.getFirst());
      if (tool == null) {
        troubles.add(
            "%s has number %s, which is not in %s"
                .formatted(MACHINE_LIST, cells.getFirst(), DATABASE));
      } else {
        tools.put(cells.getFirst(), filled(tool, OF_MACHINE, cells));
      }
    }
    Set<Long> saves = new TreeSet<>(List.of(database.save(), list.save(), table.save()));
    if (saves.size() > 1) {
      troubles.addFirst(
          "%s is of save %d, %s of save %d, %s of save %d: one of them was not saved"
              .formatted(
                  DATABASE, database.save(), MACHINE_LIST, list.save(), TABLE, table.save()));
    }
    Map<String, TableEntry> places = placed(machine, table, tools, troubles);
    places.values().forEach(held -> tools.remove(held.get(TableField.NUMBER)));
    return new ControlTable(
        places,
        Optional.empty(),
        List.copyOf(tools.values()),
        Long.toString(saves.stream().mapToLong(Long::longValue).max().orElseThrow()),
        troubles);
  }

  private static Map<String, TableEntry> placed(
      Machine machine, SavedFile table, Map<String, TableEntry> tools, List<String> troubles)
      throws IOException {
    Map<String, TableEntry> places = new HashMap<>();
    for (List<String> cells : table.rows()) {
      String place = cells.getFirst();
      String number = cells.getLast();
      if (!machine.hasPlace(place)) {
        throw new IOException("%s names %s, which is no place".formatted(TABLE, place));
      }
      if (number.equals(KeptCodes.NONE)) {
        continue;
      }
      TableEntry tool = tools.get(number);
      if (tool == null) {
        troubles.add(
            "%s has number %s in %s, which is not in %s".formatted(TABLE, number, place, DATABASE));
        tool = numbered(TableEntry.EMPTY.with(TableField.TOOL, "number " + number), number);
      }
      if (places.put(place, tool) != null) {
        throw new IOException("%s names %s twice".formatted(TABLE, place));
      }
    }
    return places;
  }

  private static TableEntry numbered(TableEntry tool, String number) {
    return tool.with(TableField.NUMBER, number).with(TableField.OFFSET, number);
  }

  /** Cells behind the number of a row; an empty one is not set. */
  private static TableEntry filled(TableEntry tool, List<TableField> fields, List<String> cells)
      throws IOException {
    TableEntry filled = tool;
    for (int i = 0; i < fields.size(); i++) {
      TableField field = fields.get(i);
      String cell = cells.get(i + 1);
      if (!cell.isEmpty()
          && field.form() == TableField.Form.SIZE
          && !cell.matches("-?\\d{1,9}(\\.\\d{1,9})?")) {
        throw new IOException(
            "'%s' of number %s is no %s".formatted(cell, cells.getFirst(), field.title()));
      }
      filled = filled.with(field, cell.isEmpty() ? null : cell);
    }
    return filled;
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
    if (rows.isEmpty() && now.troubles().isEmpty()) {
      return List.of();
    }
    Map<String, TableEntry> places = new TreeMap<>(PlaceOrder.BY_NUMBER);
    places.putAll(now.places());
    Map<String, TableEntry> tools = new TreeMap<>(PlaceOrder.BY_NUMBER);
    now.unplaced().forEach(tool -> tools.put(tool.get(TableField.NUMBER), tool));
    for (RowWrite row : rows) {
      places.put(row.place(), row.target());
      tools.values().removeIf(tool -> tool.identity().equals(row.target().identity()));
    }
    places.values().removeIf(TableEntry::empty);
    places.values().forEach(tool -> tools.put(tool.get(TableField.NUMBER), tool));
    long save = Long.parseLong(now.revision().isEmpty() ? "0" : now.revision()) + 1;
    List<List<String>> database = new ArrayList<>();
    List<List<String>> list = new ArrayList<>();
    tools.forEach((number, tool) -> {
      database.add(cells(machine, number, tool, OF_TOOL));
      list.add(cells(machine, number, tool, OF_MACHINE));
    });
    List<List<String>> table = new ArrayList<>();
    for (String place : machine.controlPlaces()) {
      String number = places.getOrDefault(place, TableEntry.EMPTY).get(TableField.NUMBER);
      table.add(List.of(place, number == null ? KeptCodes.NONE : number));
    }
    return List.of(
        SavedFile.written(DATABASE, save, database),
        SavedFile.written(MACHINE_LIST, save, list),
        SavedFile.written(TABLE, save, table));
  }

  private static List<String> cells(
      Machine machine, String number, TableEntry tool, List<TableField> fields) {
    List<String> cells = new ArrayList<>(List.of(number));
    for (TableField field : fields) {
      String text = tool.get(field);
      cells.add(text == null ? "" : field == TableField.NAME ? machine.habits().fit(text) : text);
    }
    return cells;
  }
}
