package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.FlutesCoverPoint;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.PointLength;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Drill with helical flutes. */
@AutoService(ToolClass.class)
public final class TwistDrill extends DrawnClass {

  public TwistDrill() {
    super(
        ClassSheet.named("drill-twist", "twist drill", Process.HOLE_MAKING)
            .also("drill", "drill twist")
            .requires("DC", "SIG", "LCF", "DMM", "OAL", "NOF")
            .allows("PL", "LU", "LF", "TCHA")
            .defaults("SIG", "118")
            .defaults("NOF", "2")
            .defaults("FHA", "30")
            .rules(
                new FlutesWithinTool(),
                new UsableWithinTool(),
                new PointAngleRange(),
                new PointLength(),
                new FlutesCoverPoint()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
