package arborline.core.tool.kind;

import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.CornerWithinDiameter;
import arborline.core.tool.rule.RoundedCorner;
import com.google.auto.service.AutoService;

/** End mill with a rounded corner. */
@AutoService(ToolClass.class)
public final class CornerRadiusEndMill extends DrawnClass {

  public CornerRadiusEndMill() {
    super(
        EndMills.sheet("end-mill-corner-radius", "corner-radius end mill")
            .also("end mill corner radius", "torus end mill")
            .requires("RE")
            .defaults("RE", "0.5")
            .defaults("NOF", "4")
            .defaults("FHA", "30")
            .rules(new CornerWithinDiameter(), new RoundedCorner()),
        tool -> EndMills.outline(tool, tool.approx("RE", 0.5)));
  }
}
