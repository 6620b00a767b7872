package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.TipSmallerThanCutter;
import com.google.auto.service.AutoService;

/** Pointed single-edge cutter for engraving. */
@AutoService(ToolClass.class)
public final class Engraver extends DrawnClass {

  public Engraver() {
    super(
        ClassSheet.named("engraver", "engraving cutter", Process.MILLING)
            .also("engraving tool")
            .requires("SIG")
            .asks("DCN", "DMM", "OAL")
            .implies(Shapes.cone())
            .implies(CylindricalShank.sizes())
            .allows("DC", "LU", "NOF", "APMX")
            .defaults("SIG", "30")
            .defaults("NOF", "1")
            .defaults("DCN", "0.1")
            .rules(new PointAngleRange(), new TipSmallerThanCutter()),
        tool -> Pointed.outline(tool, tool.approx("DMM", tool.approx("DC", 1)), "DMM"));
  }
}
