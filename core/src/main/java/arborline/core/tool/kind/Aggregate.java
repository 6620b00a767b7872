package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.AngleTurned;
import com.google.auto.service.AutoService;

/** Carries a cutter at an angle to the spindle. */
@AutoService(ToolClass.class)
public final class Aggregate extends DrawnClass {

  public Aggregate() {
    super(
        ClassSheet.named("aggregate", "aggregate", Process.ROUTING)
            .moving(Motion.STANDS)
            .also("angle head")
            .asks("AXISANGLE", "RPMX", "LF", "DMM")
            .allows("WF", "BD", "OAL", "DC", "CCWS")
            .defaults("AXISANGLE", "90")
            .rules(new AngleTurned()),
        Boring::aggregate);
  }
}
