package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.ReachWithinTool;
import arborline.core.tool.rule.TipSmallerThanBody;
import com.google.auto.service.AutoService;

/** Cuts the conical seat of a screw head. */
@AutoService(ToolClass.class)
public final class Countersink extends DrawnClass {

  public Countersink() {
    super(
        ClassSheet.named("countersink", "countersink", Process.HOLE_MAKING)
            .also("countersinking cutter")
            .requires("DCX", "SIG")
            .asks("DCN", "DMM", "OAL")
            .implies(Shapes.cone())
            .implies(CylindricalShank.sizes())
            .allows("NOF", "LU", "DC")
            .defaults("SIG", "90")
            .defaults("NOF", "3")
            .defaults("DCN", "0")
            .rules(new ReachWithinTool(), new TipSmallerThanBody(), new PointAngleRange()),
        tool -> Pointed.outline(tool, tool.approx("DCX", tool.approx("DC", 1)), "DCX"));
  }
}
