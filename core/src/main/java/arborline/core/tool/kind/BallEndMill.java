package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.rule.BallRadius;
import com.google.auto.service.AutoService;

/** End mill whose tip is half a ball. */
@AutoService(ToolClass.class)
public final class BallEndMill implements ToolClass {

  private static final ClassSheet SHEET =
      EndMills.sheet("end-mill-ball", "ball end mill")
          .also("ball nose end mill", "ball nose", "end mill ball")
          .requires("RE")
          .defaults("NOF", "2")
          .defaults("FHA", "30")
          .rules(new BallRadius())
          .build();

  @Override
  public ClassSheet sheet() {
    return SHEET;
  }

  @Override
  public Outline outline(Tool tool) {
    return EndMills.outline(tool, tool.approx("DC", 1) / 2);
  }
}
