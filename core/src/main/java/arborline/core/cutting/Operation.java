package arborline.core.cutting;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * What an edge does, with the speeds and feeds that handbooks call usual for it. They are kept as
 * shares of what a material states: speeds of milling with coated carbide, feeds per tooth of an
 * end mill of 10 mm.
 */
enum Operation {
  MILLING,
  DISC_MILLING,
  DRILLING,
  REAMING,
  DEEP_DRILLING,
  TAPPING,
  TURNING,
  GROOVING,
  THREAD_TURNING;

  private static final List<String[]> SPEEDS = DataTable.read("speeds.tsv", cells -> cells);
  private static final List<String[]> FEEDS = DataTable.read("feeds.tsv", cells -> cells);
  private static final String GROUPS = "PMKNSHWO";

  /** The speed in a material over that of milling it with coated carbide. */
  double speedShare(CutterMaterial cutter, WorkMaterial work) {
    return cutter.speedShare() * share(SPEEDS, work, code(), cutter.edge());
  }

  /** The feed in a material over what the material states for an end mill. */
  double feedShare(WorkMaterial work) {
    return share(FEEDS, work, code());
  }

  private String code() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private static double share(List<String[]> table, WorkMaterial work, String... row) {
    return table.stream()
        .filter(cells -> Arrays.equals(cells, 0, row.length, row, 0, row.length))
        .mapToDouble(cells -> Double.parseDouble(cells[row.length + GROUPS.indexOf(work.group())]))
        .findFirst()
        .orElseThrow();
  }
}
