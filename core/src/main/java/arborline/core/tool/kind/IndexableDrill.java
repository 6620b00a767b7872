package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.rule.DiameterWithinLargest;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Drill with inserts in its tip. */
@AutoService(ToolClass.class)
public final class IndexableDrill extends DrawnClass {

  public IndexableDrill() {
    super(
        ClassSheet.named("drill-indexable", "indexable drill", Process.HOLE_MAKING)
            .also("insert drill", "spade drill")
            .requires("DC")
            .asks("SIG", "LU", "CICT", "DMM", "OAL")
            .replaces("OAL", "LF", "LPR")
            .implies(CylindricalShank.sizes())
            .allows("DCX", "LPR", "LF", "MIID", "NOF", "PL")
            .defaults("SIG", "180")
            .defaults("NOF", "2")
            .rules(new UsableWithinTool(), new DiameterWithinLargest(), new PointAngleRange()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
