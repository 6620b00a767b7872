package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.EdgeAngleRange;
import arborline.core.tool.rule.ShankUpright;
import com.google.auto.service.AutoService;

/** Turning tool ground from one piece. */
@AutoService(ToolClass.class)
public final class SolidTurningTool extends DrawnClass {

  public SolidTurningTool() {
    super(
        ClassSheet.named("turning-solid", "solid turning tool", Process.TURNING)
            .also("tool bit", "solid boring bar")
            .requires("KAPR")
            .asks("RE", "LF", "HAND")
            .allows("H", "B", "DMM", "WF", "DMIN", "EPSR")
            .defaults("RE", "0.2")
            .defaults("HAND", "R")
            .rules(new ShankUpright(), new EdgeAngleRange()),
        Turning::external);
  }
}
