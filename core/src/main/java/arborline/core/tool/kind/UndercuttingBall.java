package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.BallRadius;
import arborline.core.tool.rule.NeckSmallerThanCutter;
import arborline.core.tool.rule.NeckWithinTool;
import com.google.auto.service.AutoService;

/** Ball on a thin neck that cuts behind itself. */
@AutoService(ToolClass.class)
public final class UndercuttingBall extends DrawnClass {

  public UndercuttingBall() {
    super(
        ClassSheet.named("end-mill-undercut", "undercutting ball mill", Process.MILLING)
            .also("undercutting ball", "spherical mill")
            .requires("DC")
            .asks("DN", "LN", "DMM", "OAL", "NOF")
            .implies(Shapes.ball())
            .allows("RE", "LU", "LF")
            .defaults("NOF", "4")
            .rules(new BallRadius(), new NeckSmallerThanCutter(), new NeckWithinTool()),
        Tapers::ballOnNeck);
  }
}
