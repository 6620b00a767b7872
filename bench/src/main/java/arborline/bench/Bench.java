package arborline.bench;

import arborline.rig.RunningLine;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collections;
import java.util.Set;

/**
 * Prints figures: {@code Bench <project folder> <work folder> [knowledge] [files] [solids] [table]
 * [controls] [duplicates] [readers] [import] [list]}; all of them where none is named.
 */
public final class Bench {

  private Bench() {}

  public static void main(String[] arguments) throws Exception {
    Set<String> wanted =
        arguments.length > 2
            ? Set.of(Arrays.copyOfRange(arguments, 2, arguments.length))
            : Set.of(
                "knowledge",
                "files",
                "solids",
                "table",
                "loads",
                "duplicates",
                "readers",
                "import",
                "touches",
                "controls",
                "list");
    if (wanted.contains("knowledge")) {
      new KnowledgeFigures().print();
    }
    if (wanted.contains("files")) {
      new FileFigures(Path.of(arguments[1], "files")).print();
    }
    if (wanted.contains("solids")) {
      new SolidFigures(Path.of(arguments[1], "files")).print();
    }
    if (wanted.contains("table")) {
      new ReconciliationFigure().print();
    }
    if (wanted.contains("loads")) {
      new LoadFigure().print();
    }
    if (wanted.contains("duplicates")) {
      new DuplicateFigure().print();
    }
    if (!Collections.disjoint(wanted, Set.of("readers", "import", "touches", "controls", "list"))) {
      overHttp(wanted, arguments);
    }
  }

  private static void overHttp(Set<String> wanted, String[] arguments) throws Exception {
    try (RunningLine line = RunningLine.start(Path.of(arguments[0]), Path.of(arguments[1]))) {
      Http http = new Http(line.url(), line.key("LEAD"));
      if (wanted.contains("readers")) {
        new ReadersFigure(http).print();
      }
      if (wanted.contains("import")) {
        new ImportFigure(line, http).print();
      }
      if (wanted.contains("touches")) {
        new TouchesFigure(line, http).print();
      }
      if (wanted.contains("controls")) {
        new ControlsFigure(line, http).print();
      }
      if (wanted.contains("list")) {
        new ListFigure(line, http).print();
      }
    }
  }

  /** One line of the report. */
  static void line(String figure, double ours, double floor, String unit) {
    System.out.printf(
        java.util.Locale.ROOT,
        "%-58s %9.2f %s, floor %9.2f, ratio %.2f%n",
        figure,
        ours,
        unit,
        floor,
        ours / floor);
  }

  /** One line of the report, of a figure that is not to be passed. */
  static void goal(String figure, double ours, double most, String unit) {
    System.out.printf(
        java.util.Locale.ROOT, "%-58s %9.2f %s, goal  %9.2f%n", figure, ours, unit, most);
  }
}
