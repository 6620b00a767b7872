package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.LeadInCoversKerf;
import com.google.auto.service.AutoService;

/** Cuts with a laser beam. */
@AutoService(ToolClass.class)
public final class LaserHead extends DrawnClass {

  public LaserHead() {
    super(
        ClassSheet.named("jet-laser", "laser nozzle", Process.JET)
            .also("laser head")
            .requires("KERF")
            .asks("NOZZLE", "STANDOFF")
            .allows("FOCUS", "PIERCE", "GAS", "LEADIN", "LF")
            .rules(new LeadInCoversKerf()),
        Boring::nozzle);
  }
}
