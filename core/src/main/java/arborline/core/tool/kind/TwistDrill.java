package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Usual;
import arborline.core.tool.rule.FlutesCoverPoint;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.PointLength;
import arborline.core.tool.rule.ReachWithinTool;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Drill with helical flutes. */
@AutoService(ToolClass.class)
public final class TwistDrill extends DrawnClass {

  public TwistDrill() {
    super(
        ClassSheet.named("drill-twist", "twist drill", Process.HOLE_MAKING)
            .also("drill", "drill twist")
            .requires("DC")
            .asks("SIG", "LCF", "DMM", "OAL", "NOF")
            .implies(CylindricalShank.sizes())
            .implies(Usual.of("NOF", "2"))
            .implies(Usual.ofSubstrate("SIG", "118", "HSS", "HSS-E", "HSS-PM"))
            .implies(Usual.ofSubstrate("SIG", "140", "HC", "HW", "HF"))
            .allows("PL", "LU", "LF", "TCHA")
            .defaults("SIG", "118")
            .defaults("NOF", "2")
            .defaults("FHA", "30")
            .rules(
                new ReachWithinTool(),
                new FlutesWithinTool(),
                new UsableWithinTool(),
                new PointAngleRange(),
                new PointLength(),
                new FlutesCoverPoint()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
