package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.PilotSmallerThanReamer;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.ReachWithinTool;
import com.google.auto.service.AutoService;

/** Opens a hole that is there already. */
@AutoService(ToolClass.class)
public final class CoreDrill extends DrawnClass {

  public CoreDrill() {
    super(
        ClassSheet.named("core-drill", "core drill", Process.HOLE_MAKING)
            .also("drill core")
            .requires("DC")
            .asks("SIG", "PHD", "LCF", "DMM", "OAL")
            .implies(CylindricalShank.sizes())
            .allows("NOF", "LU", "TCHA")
            .defaults("NOF", "3")
            .defaults("SIG", "120")
            .rules(
                new ReachWithinTool(),
                new PilotSmallerThanReamer(),
                new FlutesWithinTool(),
                new PointAngleRange()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
