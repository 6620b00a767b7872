package arborline.core.tool.kind;

import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.BallRadius;
import com.google.auto.service.AutoService;

/** End mill whose tip is half a ball. */
@AutoService(ToolClass.class)
public final class BallEndMill extends DrawnClass {

  public BallEndMill() {
    super(
        EndMills.sheet("end-mill-ball", "ball end mill")
            .also("ball nose end mill", "ball nose", "end mill ball")
            .requires("RE")
            .implies(Shapes.ball())
            .defaults("NOF", "2")
            .defaults("FHA", "30")
            .rules(new BallRadius()),
        tool -> EndMills.outline(tool, tool.approx("DC", 1) / 2));
  }
}
