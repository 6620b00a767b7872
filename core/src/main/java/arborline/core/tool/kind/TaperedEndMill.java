package arborline.core.tool.kind;

import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.RadiusWithinTip;
import arborline.core.tool.rule.TaperReachesDiameter;
import arborline.core.tool.rule.TipSmallerThanCutter;
import com.google.auto.service.AutoService;

/** End mill whose edges widen from the tip. */
@AutoService(ToolClass.class)
public final class TaperedEndMill extends DrawnClass {

  public TaperedEndMill() {
    super(
        EndMills.sheet("end-mill-tapered", "tapered end mill")
            .also("taper end mill", "conical end mill")
            .requires("BHTA")
            .asks("DCN")
            .implies(Shapes.taper())
            .allows("RE")
            .defaults("BHTA", "3")
            .defaults("NOF", "4")
            .defaults("FHA", "30")
            .rules(new TaperReachesDiameter(), new RadiusWithinTip(), new TipSmallerThanCutter()),
        Tapers::outline);
  }
}
