package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.ConeDepth;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.TipSmallerThanBody;
import com.google.auto.service.AutoService;

/** Conical mill that breaks edges. */
@AutoService(ToolClass.class)
public final class ChamferMill extends DrawnClass {

  public ChamferMill() {
    super(
        ClassSheet.named("chamfer-mill", "chamfer mill", Process.MILLING)
            .also("chamfering mill", "chamfer cutter")
            .requires("DCX", "SIG")
            .asks("DCN", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .implies(Shapes.cone())
            .implies(CylindricalShank.sizes())
            .implies(new Same("APMX", "LCF"))
            .allows("DCONMS", "APMX", "LU", "LCF", "DC")
            .defaults("DCN", "0")
            .defaults("SIG", "90")
            .defaults("NOF", "4")
            .rules(new TipSmallerThanBody(), new PointAngleRange(), new ConeDepth()),
        tool -> Pointed.outline(tool, tool.approx("DCX", tool.approx("DC", 1)), "DCX"));
  }
}
