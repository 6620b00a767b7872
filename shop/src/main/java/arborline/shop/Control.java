package arborline.shop;

import java.math.BigDecimal;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A simulated control: keeps a tool table and takes it row by row. */
final class Control implements StandIn {

  private static final int POCKETS = 48;

  private static final Pattern OFFSET =
      Pattern.compile("G10\\s*L(1[0-3])\\s*P(\\d{1,4})(?:\\s*R(-?\\d*\\.?\\d*))?");

  private final StateFile<State> file;
  private State state;
  private Behaviour behaviour = Behaviour.GOOD;

  Control(StateFile<State> file) {
    this.file = file;
    this.state = file.load();
  }

  @Override
  public synchronized Behaviour behaviour() {
    return behaviour;
  }

  @Override
  public synchronized void behave(Behaviour next) {
    behaviour = Objects.requireNonNull(next, "how to behave is not said");
  }

  /** A file came over the link and was taken whole. */
  synchronized void fileTaken() {
    behaviour = behaviour.fileTaken();
  }

  @Override
  public synchronized void forget() {
    state = file.factory();
    behaviour = Behaviour.GOOD;
    file.save(state);
  }

  synchronized State state() {
    return state;
  }

  /** Runs an offset program; rows before a fault stay written, as on a real control. */
  synchronized void offsets(String program) {
    writable();
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
    if (number == behaviour.refuseRegister()) {
      throw new RefusedException("ALARM 032: register " + number + " is locked");
    }
    State.Register register = state.registers().getOrDefault(number, State.Register.UNSET);
    state.registers().put(number, register.with(list, value));
    file.save(state);
  }

  /** Takes a pocket table: pocket, tool, number, name; a tool of "-" empties the pocket. */
  synchronized void pockets(String table) {
    writable();
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
      state.pockets().remove(pocket);
    } else {
      state.pockets().values().removeIf(held -> held.tool().equals(tool));
      state.pockets().put(pocket, new State.PocketTool(tool, number, name));
    }
    file.save(state);
  }

  private void writable() {
    if (behaviour.protectedMemory()) {
      throw new RefusedException("ALARM 070: memory protect key is on");
    }
  }

  private void row() {
    Integer left = behaviour.cutAfterRows();
    if (left == null) {
      return;
    }
    if (left <= 0) {
      behaviour = behaviour.cutTo(null);
      throw new CutOffException();
    }
    behaviour = behaviour.cutTo(left - 1);
  }

  /** A register that the operator changes; a value of null is not set. */
  record PanelEntry(int list, int number, BigDecimal value) {}

  @Override
  public void panel(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    operator(entry.list(), entry.number(), entry.value());
  }

  synchronized void operator(int list, int number, BigDecimal value) {
    State.Register register = state.registers().getOrDefault(number, State.Register.UNSET);
    state.registers().put(number, register.with(list, value));
    file.save(state);
  }

  /** The tool table as MTConnect assets. */
  synchronized String assets() {
    if (behaviour.garbage()) {
      return "<html><body>BUSY</body></html>";
    }
    StringBuilder tools = new StringBuilder();
    state.pockets().forEach((pocket, tool) -> tools.append(AssetXml.tool(state, pocket, tool)));
    String document = AssetXml.document(tools.toString(), state.pockets().size());
    return behaviour.halfFile() ? document.substring(0, document.length() / 2) : document;
  }
}
