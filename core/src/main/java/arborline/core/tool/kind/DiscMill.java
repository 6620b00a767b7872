package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.BoreWithinCutter;
import arborline.core.tool.rule.DiscDepth;
import com.google.auto.service.AutoService;

/** Disc on a shank that mills slots from the side. */
@AutoService(ToolClass.class)
public final class DiscMill extends DrawnClass {

  public DiscMill() {
    super(
        ClassSheet.named("slot-mill-disc", "disc slot mill", Process.MILLING)
            .also("slot mill", "disc mill", "side and face mill")
            .requires("DC", "CW")
            .asks("CDX", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .replaces("OAL", "DCONMS")
            .allows("DCONMS", "DN", "LN", "LU", "RE")
            .rules(new BoreWithinCutter(), new DiscDepth()),
        Discs::outline);
  }
}
