package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Brad-point drill for boring panels. */
@AutoService(ToolClass.class)
public final class PanelDrill extends DrawnClass {

  public PanelDrill() {
    super(
        ClassSheet.named("drill-panel", "panel drill", Process.ROUTING)
            .moving(Motion.DRILLS)
            .also("dowel drill", "brad point drill")
            .requires("DC")
            .asks("LU", "DMM", "OAL", "RPMX")
            .implies(new Same("LU", "LCF"))
            .implies(CylindricalShank.sizes())
            .allows("SIG", "LCF", "NOF", "LF")
            .defaults("SIG", "150")
            .defaults("NOF", "2")
            .rules(new UsableWithinTool()),
        tool -> Pointed.outline(tool, tool.approx("DC", 1), "DC"));
  }
}
