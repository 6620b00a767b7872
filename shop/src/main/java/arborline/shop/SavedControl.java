package arborline.shop;

import arborline.shop.SavedState.File;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A simulated router: tool database, machine list and tool table are files that are saved one by
 * one; it cuts only while all three are of one save.
 */
final class SavedControl extends SimulatedControl<SavedState> {

  static final String[] FILES = {"TOOLS.DB", "MACHINE.LST", "TOOLS.TBL"};

  private static final Map<String, Integer> CELLS =
      Map.of("TOOLS.DB", 6, "MACHINE.LST", 3, "TOOLS.TBL", 2);
  private static final Pattern HEAD = Pattern.compile("SAVE (\\d{1,15}) (\\d{1,6})");

  SavedControl(StateFile<SavedState> file) {
    super(file);
  }

  @Override
  public synchronized String document(String name) {
    File saved = state().files().get(name);
    return saved == null ? null : saved.text();
  }

  @Override
  public synchronized boolean take(String name, String text) {
    Integer cells = CELLS.get(name);
    if (cells == null) {
      return false;
    }
    needWritable();
    List<String> lines = text.lines().toList();
    Matcher head = HEAD.matcher(lines.isEmpty() ? "" : lines.getFirst());
    boolean whole =
        head.matches()
            && lines.size() == Integer.parseInt(head.group(2)) + 2
            && lines.getLast().equals("END " + head.group(1));
    if (!whole) {
      throw new RefusedException("ALARM 011: " + name + " is not whole");
    }
    List<String> rows = lines.subList(1, lines.size() - 1);
    for (String row : rows) {
      if (row.split("\t", -1).length != cells) {
        throw new RefusedException("ALARM 012: row '" + row + "' of " + name);
      }
      row();
      if (!name.equals("TOOLS.TBL") && row.startsWith(behaviour().refuseRegister() + "\t")) {
        needUnlocked(behaviour().refuseRegister());
      }
    }
    state().files().put(name, new File(Long.parseLong(head.group(1)), rows));
    remember(state());
    return true;
  }

  /** True where all files are of one save. */
  synchronized boolean agrees() {
    return state().files().values().stream().map(File::save).distinct().count() == 1;
  }

  /**
   * What the operator changes: one row of one file, which is saved; the others are forgotten.
   *
   * @param cells from the number on
   * @param all true to save the others as well
   */
  record PanelEntry(String file, List<String> cells, boolean all) {}

  @Override
  synchronized void operated(String json) {
    PanelEntry entry = PanelEndpoint.JSON.readValue(json, PanelEntry.class);
    File changed =
        state()
            .files()
            .get(entry.file())
            .with(entry.cells().getFirst(), String.join("\t", entry.cells()));
    state().files().put(entry.file(), changed);
    if (entry.all()) {
      state().files().replaceAll((name, file) -> new File(changed.save(), file.rows()));
    }
    remember(state());
  }
}
