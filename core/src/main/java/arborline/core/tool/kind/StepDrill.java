package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.ReachWithinTool;
import arborline.core.tool.rule.SecondStepWithinFlutes;
import arborline.core.tool.rule.StepWithinFlutes;
import arborline.core.tool.rule.StepsRise;
import com.google.auto.service.AutoService;

/** Drills two or three diameters at once. */
@AutoService(ToolClass.class)
public final class StepDrill extends DrawnClass {

  public StepDrill() {
    super(
        ClassSheet.named("drill-step", "step drill", Process.HOLE_MAKING)
            .also("subland drill")
            .requires("DC", "DC1", "SDL1")
            .asks("SIG", "STA1", "LCF", "DMM", "OAL", "NOF")
            .implies(CylindricalShank.sizes())
            .allows("DC2", "SDL2", "STA2", "LU", "PL")
            .defaults("SIG", "118")
            .defaults("STA1", "90")
            .defaults("NOF", "2")
            .rules(
                new StepWithinFlutes(),
                new SecondStepWithinFlutes(),
                new ReachWithinTool(),
                new StepsRise(),
                new PointAngleRange(),
                new FlutesWithinTool()),
        Stepped::outline);
  }
}
