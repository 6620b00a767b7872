package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.PilotWideEnough;
import com.google.auto.service.AutoService;

/** Single-lip drill for deep holes. */
@AutoService(ToolClass.class)
public final class DeepHoleDrill extends DrawnClass {

  public DeepHoleDrill() {
    super(
        ClassSheet.named("drill-deep-hole", "deep-hole drill", Process.HOLE_MAKING)
            .also("gun drill", "single lip drill")
            .requires("DC", "LCF", "PHD", "DMM", "OAL")
            .allows("SIG", "LU", "NOF", "CP")
            .defaults("NOF", "1")
            .defaults("SIG", "120")
            .rules(new FlutesWithinTool(), new PilotWideEnough()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
