package arborline.core.tool.kind;

import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.CornerWithinDiameter;
import arborline.core.tool.rule.ProfileRadiusLarge;
import com.google.auto.service.AutoService;

/** End mill whose flank is part of a large circle. */
@AutoService(ToolClass.class)
public final class BarrelMill extends DrawnClass {

  public BarrelMill() {
    super(
        EndMills.sheet("end-mill-barrel", "barrel end mill")
            .also("oval end mill", "circle segment end mill", "barrel mill")
            .requires("PRFRAD")
            .allows("RE", "BHTA")
            .defaults("NOF", "4")
            .defaults("FHA", "30")
            .rules(new ProfileRadiusLarge(), new CornerWithinDiameter()),
        Tapers::barrel);
  }
}
