package arborline.shop;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A simulated control: keeps a tool table and takes it row by row. */
final class Control extends SimulatedControl<State> {

  private static final int POCKETS = 48;

  private static final Pattern OFFSET =
      Pattern.compile("G10\\s*L(1[0-3])\\s*P(\\d{1,4})(?:\\s*R(-?\\d*\\.?\\d*))?");

  Control(StateFile<State> file) {
    super(file);
  }

  @Override
  public synchronized String document(String name) {
    return name.equals("assets") ? assets() : null;
  }

  @Override
  public synchronized boolean take(String name, String text) {
    switch (name) {
      case "offsets.nc" -> offsets(text);
      case "pockets.tsv" -> pockets(text);
      default -> {
        return false;
      }
    }
    return true;
  }

  /** Runs an offset program; rows before a fault stay written, as on a real control. */
  synchronized void offsets(String program) {
    needWritable();
    for (String line : program.split("\n")) {
      String block = line.replaceAll("\\([^)]*\\)", "").strip();
      Matcher offset = OFFSET.matcher(block);
      if (offset.matches()) {
        row();
        offset(
            Integer.parseInt(offset.group(1)),
            Integer.parseInt(offset.group(2)),
            offset.group(3) == null ? null : new BigDecimal(offset.group(3)));
      } else if (!block.matches("%?|G21 G90|M30")) {
        throw new RefusedException("ALARM 010: block '" + block + "' is not possible here");
      }
    }
  }

  /** A register without a value is not set from then on. */
  private void offset(int list, int number, BigDecimal value) {
    needUnlocked(number);
    State.Register register = state().registers().getOrDefault(number, State.Register.UNSET);
    state().registers().put(number, register.with(list, value));
    remember(state());
  }

  /** Takes a pocket table: pocket, tool, number, name; a tool of "-" empties the pocket. */
  synchronized void pockets(String table) {
    needWritable();
    for (String line : table.split("\n")) {
      if (line.startsWith("pocket\t") || line.isBlank()) {
        continue;
      }
      String[] cells = line.split("\t", -1);
      if (cells.length != 4 || !cells[0].matches("\\d+") || !cells[2].matches("\\d+")) {
        throw new RefusedException("ALARM 041: row '" + line + "' is not a pocket row");
      }
      row();
      pocket(Integer.parseInt(cells[0]), cells[1], Integer.parseInt(cells[2]), cells[3]);
    }
  }

  private void pocket(int pocket, String tool, int number, String name) {
    if (pocket < 1 || pocket > POCKETS) {
      throw new RefusedException("ALARM 042: there is no pocket " + pocket);
    }
    if (tool.equals("-")) {
      state().pockets().remove(pocket);
    } else {
      state().pockets().values().removeIf(held -> held.tool().equals(tool));
      state().pockets().put(pocket, new State.PocketTool(tool, number, name));
    }
    remember(state());
  }

  /** A register that the operator changes; a value of null is not set. */
  record PanelEntry(int list, int number, BigDecimal value) {}

  @Override
  void operated(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    operator(entry.list(), entry.number(), entry.value());
  }

  synchronized void operator(int list, int number, BigDecimal value) {
    State.Register register = state().registers().getOrDefault(number, State.Register.UNSET);
    state().registers().put(number, register.with(list, value));
    remember(state());
  }

  /** The tool table as MTConnect assets. */
  synchronized String assets() {
    StringBuilder tools = new StringBuilder();
    state().pockets().forEach((pocket, tool) -> tools.append(AssetXml.tool(state(), pocket, tool)));
    return AssetXml.document("M1", now(), tools.toString(), state().pockets().size());
  }
}
