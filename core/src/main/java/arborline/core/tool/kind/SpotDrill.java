package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Usual;
import arborline.core.tool.rule.ConeDepth;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.ReachWithinTool;
import com.google.auto.service.AutoService;

/** Short stiff drill that starts a hole. */
@AutoService(ToolClass.class)
public final class SpotDrill extends DrawnClass {

  public SpotDrill() {
    super(
        ClassSheet.named("drill-spot", "spot drill", Process.HOLE_MAKING)
            .also("spotting drill", "drill spot")
            .requires("DC", "SIG")
            .asks("DMM", "OAL", "NOF")
            .implies(CylindricalShank.sizes())
            .implies(Usual.of("NOF", "2"))
            .allows("APMX", "LCF", "PL", "LU")
            .defaults("SIG", "90")
            .defaults("NOF", "2")
            .rules(new ReachWithinTool(), new PointAngleRange(), new ConeDepth()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
