package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.ConeDepth;
import arborline.core.tool.rule.PointAngleRange;
import arborline.core.tool.rule.TipSmallerThanBody;
import com.google.auto.service.AutoService;

/** Pointed router bit for grooves and letters. */
@AutoService(ToolClass.class)
public final class VRouterBit extends DrawnClass {

  public VRouterBit() {
    super(
        ClassSheet.named("router-v", "V router bit", Process.ROUTING)
            .also("v bit")
            .requires("DCX", "SIG")
            .asks("DCN", "DMM", "OAL", "NOF", "RPMX")
            .implies(Shapes.cone())
            .implies(CylindricalShank.sizes())
            .allows("APMX", "LU", "DC")
            .defaults("SIG", "90")
            .defaults("DCN", "0")
            .defaults("NOF", "2")
            .rules(new TipSmallerThanBody(), new PointAngleRange(), new ConeDepth()),
        tool -> Pointed.outline(tool, tool.approx("DCX", tool.approx("DC", 1)), "DCX"));
  }
}
