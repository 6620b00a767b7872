package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.rule.BoreWithinCutter;
import arborline.core.tool.rule.DiscDepth;
import arborline.core.tool.rule.NeckSmallerThanCutter;
import arborline.core.tool.rule.SlotWithinReach;
import com.google.auto.service.AutoService;

/** Mills the foot of a T-slot below its neck. */
@AutoService(ToolClass.class)
public final class TSlotMill extends DrawnClass {

  public TSlotMill() {
    super(
        ClassSheet.named("slot-mill-t", "T-slot mill", Process.MILLING)
            .also("t slot cutter", "t slot mill", "keyseat mill")
            .requires("DC", "CW")
            .asks("DN", "LN", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .replaces("OAL", "DCONMS")
            .implies(new Same("LN", "LU"))
            .implies(CylindricalShank.sizes())
            .allows("DCONMS", "RE", "LU", "CDX")
            .defaults("FHA", "10")
            .defaults("NOF", "6")
            .rules(
                new BoreWithinCutter(),
                new DiscDepth(),
                new NeckSmallerThanCutter(),
                new SlotWithinReach()),
        Discs::outline);
  }
}
