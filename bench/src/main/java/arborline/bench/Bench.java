package arborline.bench;

import arborline.rig.RunningLine;
import java.nio.file.Path;

/** Prints all figures: {@code Bench <project folder> <work folder>}. */
public final class Bench {

  private Bench() {}

  public static void main(String[] arguments) throws Exception {
    new KnowledgeFigures().print();
    new ReconciliationFigure().print();
    try (RunningLine line = RunningLine.start(Path.of(arguments[0]), Path.of(arguments[1]))) {
      Http http = new Http(line.url(), line.key("LEAD"));
      new ImportFigure(line, http).print();
      new ListFigure(line, http).print();
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
}
