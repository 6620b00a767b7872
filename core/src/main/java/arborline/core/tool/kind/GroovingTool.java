package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.GrooveCorner;
import arborline.core.tool.rule.GrooveWithinHolder;
import arborline.core.tool.rule.ShankUpright;
import com.google.auto.service.AutoService;

/** Blade for grooving and parting off. */
@AutoService(ToolClass.class)
public final class GroovingTool extends DrawnClass {

  public GroovingTool() {
    super(
        ClassSheet.named("turning-grooving", "grooving tool", Process.TURNING)
            .also("parting tool", "groove tool")
            .designatedBy("SHANK", "MIID")
            .requires("CW")
            .asks("CDX", "RE", "H", "B", "LF", "HAND")
            .replaces("H", "DMM")
            .replaces("B", "DMM")
            .allows("WF", "DMM", "HF")
            .defaults("RE", "0.2")
            .defaults("HAND", "R")
            .rules(new ShankUpright(), new GrooveCorner(), new GrooveWithinHolder()),
        Turning::blade);
  }
}
