package arborline.core.table;

import arborline.core.machine.Machine;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Tools as nodes of an OPC UA server, each named {@code CODE|SISTER|Name}: where it stands, life,
 * status and up to four edges; {@code Count} says how many tools there are, so that a list which
 * ends early is not taken for all, and {@code Clock} what time it is there. Read as one line for
 * each node, its name and its value with a tab between them; written as lines that are carried out
 * one after the other, {@code write} a node or {@code call} a method:
 *
 * <pre>
 * call  Load  MM-BA08  1  12  5  BALL 8
 * write  MM-BA08|1|Edge1.Length  120.012
 * </pre>
 *
 * <p>Places are cleared before any is filled, so that a wide tool finds its neighbours gone. The
 * status is the control's own, and never written. A tool that is loaded has no sizes until they are
 * written: no place ever holds a tool with the sizes of another one.
 */
@AutoService(ControlDialect.class)
public final class ToolNodesDialect implements ControlDialect {

  public static final String TOOLS = "tools";
  public static final String ORDERS = "orders.txt";

  /** Of a line of orders: set a node to a value, none where it is empty. */
  public static final String WRITE = "write";

  /** Of a line of orders: carry out a method. */
  public static final String CALL = "call";

  private static final int HIGHEST_NUMBER = 99_999_999;
  private static final int EDGES = 4;
  private static final int MOST_LINES = 1_000_000;
  private static final String FIRST_SISTER = "1";
  private static final String IN_SPINDLE = "SPINDLE";
  private static final String PLACE = "Place";
  private static final String CLOCK = "Clock\t";
  private static final String COUNT = "Count\t";
  private static final Map<String, TableField> NODES = nodes();
  private static final Set<TableField> IDENTITY =
      Set.of(TableField.TOOL, TableField.SISTER, TableField.NUMBER, TableField.NAME);

  private static Map<String, TableField> nodes() {
    Map<String, TableField> nodes = new TreeMap<>();
    nodes.put("Number", TableField.NUMBER);
    nodes.put("Name", TableField.NAME);
    nodes.put("Status", TableField.STATUS);
    nodes.put("Life.Limit", TableField.LIFE_LIMIT);
    nodes.put("Life.Warning", TableField.LIFE_WARNING);
    nodes.put("Life.Used", TableField.LIFE_USED);
    for (int edge = 1; edge <= EDGES; edge++) {
      nodes.put("Edge%d.Length".formatted(edge), TableField.LENGTH.edge(edge));
      nodes.put("Edge%d.Diameter".formatted(edge), TableField.DIAMETER.edge(edge));
      nodes.put("Edge%d.LengthWear".formatted(edge), TableField.LENGTH_WEAR.edge(edge));
      nodes.put("Edge%d.DiameterWear".formatted(edge), TableField.DIAMETER_WEAR.edge(edge));
    }
    return nodes;
  }

  @Override
  public String id() {
    return "tool-nodes";
  }

  @Override
  public String title() {
    return "OPC UA nodes";
  }

  @Override
  public List<ControlField> fields(Machine machine) {
    List<ControlField> fields = new ArrayList<>();
    fields.add(ControlField.of(TableField.TOOL));
    fields.add(ControlField.of(TableField.SISTER));
    NODES.values().forEach(field -> fields.add(field(machine, field)));
    return fields;
  }

  private static ControlField field(Machine machine, TableField field) {
    boolean size = field.measured() || field.form() == TableField.Form.WEAR;
    ControlField kept = ControlField.of(field);
    if (!size) {
      return kept;
    }
    ControlField edge =
        kept.scope(ControlField.Scope.EDGE)
            .decimals(machine.habits().decimals())
            .most(Register.most(machine, TableField.valueOf(field.id().replaceAll("@.*", ""))));
    boolean radius =
        field.title().startsWith("diameter")
            && field.measured()
            && !machine.habits().diameterShown();
    return radius ? edge.shown(ControlField.Shown.HALF) : edge;
  }

  @Override
  public List<String> documents() {
    return List.of(TOOLS);
  }

  @Override
  public Optional<Instant> clock(Map<String, byte[]> documents) {
    return ControlClock.behind(documents.get(TOOLS), "^" + CLOCK);
  }

  @Override
  public ControlTable read(Machine machine, Map<String, byte[]> documents) throws IOException {
    Map<String, TableEntry> tools = new TreeMap<>();
    Map<String, String> stands = new HashMap<>();
    List<String> lines =
        new String(documents.get(TOOLS), StandardCharsets.UTF_8).lines().limit(MOST_LINES).toList();
    String count = null;
    for (String line : lines) {
      if (line.startsWith(COUNT)) {
        count = line.substring(COUNT.length());
        continue;
      }
      if (line.startsWith(CLOCK)) {
        continue;
      }
      String[] cells = line.split("\t", -1);
      String[] parts = cells[0].split("\\|", -1);
      if (cells.length != 2 || parts.length != 3) {
        throw new IOException("node '%s' is none of its tools".formatted(line));
      }
      String key = parts[0] + "|" + parts[1];
      TableEntry tool = tools.computeIfAbsent(key, id -> identified(parts[0], parts[1]));
      TableField field = NODES.get(parts[2]);
      if (parts[2].equals(PLACE)) {
        stands.put(key, cells[1]);
      } else if (field != null && !cells[1].isEmpty()) {
        tools.put(key, tool.with(field, text(field, cells[1])));
      }
    }
    if (!tools.keySet().equals(stands.keySet())) {
      throw new IOException("of some of its tools it does not say where they stand");
    }
    if (!Integer.toString(tools.size()).equals(count)) {
      throw new IOException(
          "it shows %d tools and says that it has %s; read it again"
              .formatted(tools.size(), count == null ? "no number of them" : count));
    }
    return table(machine, tools, stands);
  }

  private static TableEntry identified(String code, String sister) {
    return TableEntry.EMPTY.with(TableField.TOOL, code).with(TableField.SISTER, sister);
  }

  private static ControlTable table(
      Machine machine, Map<String, TableEntry> tools, Map<String, String> stands)
      throws IOException {
    Map<String, TableEntry> places = new HashMap<>();
    List<TableEntry> unplaced = new ArrayList<>();
    Optional<TableEntry> spindle = Optional.empty();
    for (Map.Entry<String, TableEntry> tool : tools.entrySet()) {
      String place = stands.get(tool.getKey());
      if (place.isEmpty()) {
        unplaced.add(tool.getValue());
      } else if (place.equals(IN_SPINDLE)) {
        spindle = Optional.of(tool.getValue());
      } else if (!machine.hasPlace(place)) {
        throw new IOException("it has a tool in '%s', which is no place".formatted(place));
      } else if (places.put(place, tool.getValue()) != null) {
        throw new IOException("it has two tools in " + place);
      }
    }
    return new ControlTable(places, spindle, unplaced, "", List.of());
  }

  private static String text(TableField field, String value) throws IOException {
    return field.form() == TableField.Form.WORD ? value : ShownNumber.plain(value, field);
  }

  @Override
  public TableEntry registered(TableEntry entry) {
    return entry.get(TableField.TOOL) == null || entry.get(TableField.SISTER) != null
        ? entry
        : entry.with(TableField.SISTER, FIRST_SISTER);
  }

  @Override
  public Optional<String> refusal(Machine machine, TableEntry entry) {
    String tool = entry.get(TableField.TOOL);
    Optional<String> code = KeptCodes.refusal(machine, tool);
    if (code.isPresent()) {
      return code;
    }
    if (tool.contains("|")) {
      return Optional.of(
          "%s divides names of its nodes by |; %s has one: give it another code"
              .formatted(machine.name(), tool));
    }
    return KeptNumbers.refusal(machine, entry, HIGHEST_NUMBER);
  }

  @Override
  public List<ControlFile> write(Machine machine, ControlTable now, List<RowWrite> rows) {
    StringBuilder text = new StringBuilder();
    rows.stream()
        .filter(row -> row.target().empty())
        .forEach(row -> text.append(line(CALL, "Unload", row.place())));
    rows.stream().filter(row -> !row.target().empty()).forEach(row -> row(machine, row, text));
    return text.isEmpty()
        ? List.of()
        : List.of(new ControlFile(ORDERS, "text/plain;charset=US-ASCII", text.toString()));
  }

  private static void row(Machine machine, RowWrite row, StringBuilder text) {
    TableEntry target = row.target();
    String code = target.get(TableField.TOOL);
    String sister = Optional.ofNullable(target.get(TableField.SISTER)).orElse(FIRST_SISTER);
    if (row.fields().stream().anyMatch(IDENTITY::contains)) {
      String name = Optional.ofNullable(target.get(TableField.NAME)).orElse("");
      text.append(
          line(
              CALL,
              "Load",
              code,
              sister,
              row.place(),
              target.get(TableField.NUMBER),
              machine.habits().fit(name)));
    }
    NODES.forEach((node, field) -> {
      boolean written = !IDENTITY.contains(field) && !field.equals(TableField.STATUS);
      if (written && row.fields().contains(field)) {
        String value = Optional.ofNullable(target.get(field)).orElse("");
        text.append(line(WRITE, "%s|%s|%s".formatted(code, sister, node), value));
      }
    });
  }

  private static String line(String... cells) {
    return String.join("\t", cells) + "\n";
  }
}
