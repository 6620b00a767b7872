package arborline.core.exchange;

import java.util.List;
import org.dhatim.fastexcel.Worksheet;

/** The first sheet of a workbook: how it is filled in and brought back. */
final class WorkbookGuide {

  private static final double WIDE = 18;
  private static final double TEXT = 96;

  private record Line(String about, String text) {}

  private static final List<Line> LINES =
      List.of(
          new Line(
              "Tools",
              "One row for each tool. CODE is what it is known by: a new code is a new tool."),
          new Line(
              "Parts",
              "Holders, extensions, collets and arbors. BODIES is the outline from the workpiece end:"
                  + " each cylinder as length x diameter, each cone as length x from-to."),
          new Line(
              "Cutting data",
              "One row for each line of cutting data; CODE names the tool that it belongs to."),
          new Line(
              "Stacks",
              "How parts hold a tool; CODE names the tool, PARTS the codes of the parts from the"
                  + " machine on, parted by |."),
          new Line(
              "Columns",
              "The symbol before the colon decides what a column is; the text behind it is free."
                  + " Columns may stand in any order, may be left out and may be added."),
          new Line(
              "Units",
              "The unit stands in brackets in the header. A cell may state another one: 1/2 in."),
          new Line("Empty cells", "An empty cell says nothing of its tool."),
          new Line(
              "Formulas",
              "A formula over numbers of its own row goes on working here and in Arbor Line."),
          new Line(
              "Coming back",
              "Bring the file in as a delivery: new, changed and missing tools are shown before"
                  + " anything is taken."));

  private WorkbookGuide() {}

  static void write(Worksheet sheet, WriteOptions options) {
    sheet.inlineString(0, 0, "Arbor Line tools");
    sheet.style(0, 0).bold().fontSize(14).set();
    sheet.inlineString(0, 1, options.title());
    for (int i = 0; i < LINES.size(); i++) {
      sheet.inlineString(i + 2, 0, LINES.get(i).about());
      sheet.style(i + 2, 0).bold().verticalAlignment("top").set();
      sheet.inlineString(i + 2, 1, LINES.get(i).text());
      sheet.style(i + 2, 1).wrapText(true).verticalAlignment("top").set();
    }
    sheet.width(0, WIDE);
    sheet.width(1, TEXT);
    sheet.hideGridLines();
  }
}
