package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.PilotSmallerThanReamer;
import arborline.core.tool.rule.ReachWithinTool;
import arborline.core.tool.rule.ReamingAllowance;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Finishes a hole to size. */
@AutoService(ToolClass.class)
public final class Reamer extends DrawnClass {

  public Reamer() {
    super(
        ClassSheet.named("reamer", "reamer", Process.HOLE_MAKING)
            .requires("DC")
            .asks("TCHA", "APMX", "PHD", "DMM", "OAL", "NOF")
            .implies(new Same("APMX", "LCF"))
            .implies(CylindricalShank.sizes())
            .allows("KCH", "LU", "LCF", "DN", "LN")
            .defaults("TCHA", "H7")
            .defaults("NOF", "6")
            .rules(
                new ReachWithinTool(),
                new PilotSmallerThanReamer(),
                new ReamingAllowance(),
                new DepthWithinUsableLength(),
                new UsableWithinTool()),
        tool -> Fluted.outline(tool, tool.approx("DC", 1), "DC", tool.approx("DC", 1) * 0.12));
  }
}
