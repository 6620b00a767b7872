package arborline.core.cutting;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;

/**
 * What cutting data need to know of a tool.
 *
 * @param diameter mm
 * @param teeth that cut in turn
 * @param edgeAngle KAPR in degrees
 * @param pointAngle SIG in degrees; 180 where it has no point
 * @param drills true where it feeds along its axis
 * @param rpm largest rotation of the tool; infinite where it states none
 */
public record Edges(
    double diameter, int teeth, double edgeAngle, double pointAngle, boolean drills, double rpm) {

  /** Reads them off a sheet. */
  public static Edges of(Tool tool) {
    Process process =
        ToolClasses.named(tool.toolClass())
            .map(each -> each.sheet())
            .map(ClassSheet::process)
            .orElse(Process.MILLING);
    double limit = tool.approx("RPMX", 0);
    return new Edges(
        tool.approx("DC", tool.approx("DCX", tool.approx("TD", 0))),
        (int) Math.max(1, tool.approx("ZEFP", tool.approx("NOF", tool.approx("CICT", 1)))),
        tool.approx("KAPR", 90),
        tool.approx("SIG", 180),
        process == Process.HOLE_MAKING,
        limit > 0 ? limit : Double.POSITIVE_INFINITY);
  }
}
