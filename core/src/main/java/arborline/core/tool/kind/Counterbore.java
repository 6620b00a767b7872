package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.NeckSmallerThanCutter;
import com.google.auto.service.AutoService;

/** Cuts a flat seat around a guided pilot. */
@AutoService(ToolClass.class)
public final class Counterbore extends DrawnClass {

  public Counterbore() {
    super(
        ClassSheet.named("counterbore", "counterbore", Process.HOLE_MAKING)
            .also("spotfacer")
            .requires("DC")
            .asks("DN", "APMX", "DMM", "OAL", "NOF")
            .implies(new Same("APMX", "LCF"))
            .implies(CylindricalShank.sizes())
            .allows("SIG", "LU", "LN")
            .defaults("SIG", "180")
            .defaults("NOF", "3")
            .rules(new NeckSmallerThanCutter(), new DepthWithinUsableLength()),
        Stepped::counterbore);
  }
}
