package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Usual;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.PilotWideEnough;
import arborline.core.tool.rule.ReachWithinTool;
import com.google.auto.service.AutoService;

/** Single-lip drill for deep holes. */
@AutoService(ToolClass.class)
public final class DeepHoleDrill extends DrawnClass {

  public DeepHoleDrill() {
    super(
        ClassSheet.named("drill-deep-hole", "deep-hole drill", Process.HOLE_MAKING)
            .also("gun drill", "single lip drill")
            .requires("DC")
            .asks("LCF", "PHD", "DMM", "OAL")
            .implies(CylindricalShank.sizes())
            .implies(Usual.of("NOF", "1"))
            .allows("SIG", "LU", "NOF", "CP")
            .defaults("NOF", "1")
            .defaults("SIG", "120")
            .rules(new ReachWithinTool(), new FlutesWithinTool(), new PilotWideEnough()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
