package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.rule.CutterWithinShank;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.ReachWithinTool;
import com.google.auto.service.AutoService;

/** Makes centre holes of ISO 866. */
@AutoService(ToolClass.class)
public final class CentreDrill extends DrawnClass {

  public CentreDrill() {
    super(
        ClassSheet.named("drill-centre", "centre drill", Process.HOLE_MAKING)
            .also("center drill", "combined drill and countersink")
            .requires("DC")
            .asks("DMM", "SIG", "STA", "OAL")
            .implies(CylindricalShank.sizes())
            .allows("FORM", "SDL", "NOF")
            .defaults("SIG", "118")
            .defaults("STA", "60")
            .defaults("FORM", "A")
            .defaults("NOF", "2")
            .rules(new ReachWithinTool(), new CutterWithinShank(), new PointAngleRange()),
        Stepped::centre);
  }
}
