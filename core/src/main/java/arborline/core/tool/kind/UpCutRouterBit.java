package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Usual;
import arborline.core.tool.rule.DepthWithinFlutes;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Router bit that lifts the chips out. */
@AutoService(ToolClass.class)
public final class UpCutRouterBit extends DrawnClass {

  public UpCutRouterBit() {
    super(
        ClassSheet.named("router-up-cut", "up-cut router bit", Process.ROUTING)
            .also("router bit", "up cut bit")
            .requires("DC")
            .asks("APMX", "DMM", "OAL", "NOF", "RPMX", "DIRECTION")
            .implies(new Same("APMX", "LCF"))
            .implies(CylindricalShank.sizes())
            .implies(Usual.of("DIRECTION", "up"))
            .allows("LU", "LCF", "LN", "DN", "LF", "RE")
            .defaults("NOF", "2")
            .defaults("DIRECTION", "up")
            .rules(
                new DepthWithinUsableLength(),
                new DepthWithinFlutes(),
                new FlutesWithinTool(),
                new UsableWithinTool()),
        tool -> EndMills.outline(tool, 0));
  }
}
