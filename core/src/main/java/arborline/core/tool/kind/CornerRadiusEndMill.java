package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.rule.CornerWithinDiameter;
import com.google.auto.service.AutoService;

/** End mill with a rounded corner. */
@AutoService(ToolClass.class)
public final class CornerRadiusEndMill implements ToolClass {

  private static final ClassSheet SHEET =
      EndMills.sheet("end-mill-corner-radius", "corner-radius end mill")
          .also("end mill corner radius", "torus end mill")
          .requires("RE")
          .defaults("RE", "0.5")
          .defaults("NOF", "4")
          .defaults("FHA", "30")
          .rules(new CornerWithinDiameter())
          .build();

  @Override
  public ClassSheet sheet() {
    return SHEET;
  }

  @Override
  public Outline outline(Tool tool) {
    return EndMills.outline(tool, tool.approx("RE", 0.5));
  }
}
