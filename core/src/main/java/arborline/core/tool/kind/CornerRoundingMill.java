package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.RoundingWithinDiameter;
import arborline.core.tool.rule.TipSmallerThanBody;
import com.google.auto.service.AutoService;

/** Rounds outer edges with a hollow corner. */
@AutoService(ToolClass.class)
public final class CornerRoundingMill extends DrawnClass {

  public CornerRoundingMill() {
    super(
        ClassSheet.named("corner-rounding-mill", "corner-rounding mill", Process.MILLING)
            .also("corner rounder", "concave radius mill")
            .requires("PRFRAD")
            .asks("DCN", "DCX", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .allows("LU", "LF")
            .defaults("NOF", "4")
            .rules(new RoundingWithinDiameter(), new TipSmallerThanBody()),
        Tapers::cornerRounding);
  }
}
