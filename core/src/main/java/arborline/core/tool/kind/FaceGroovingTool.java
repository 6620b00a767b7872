package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.FaceGrooveDiameters;
import arborline.core.tool.rule.GrooveCorner;
import arborline.core.tool.rule.GrooveWithinHolder;
import arborline.core.tool.rule.ShankUpright;
import com.google.auto.service.AutoService;

/** Blade that grooves a face. */
@AutoService(ToolClass.class)
public final class FaceGroovingTool extends DrawnClass {

  public FaceGroovingTool() {
    super(
        ClassSheet.named("turning-face-grooving", "face-grooving tool", Process.TURNING)
            .also("axial grooving tool")
            .designatedBy("SHANK", "MIID")
            .requires("CW")
            .asks("CDX", "DAXN", "DAXX", "RE", "H", "B", "LF", "HAND")
            .replaces("H", "DMM")
            .replaces("B", "DMM")
            .allows("WF")
            .defaults("RE", "0.2")
            .defaults("HAND", "R")
            .rules(
                new ShankUpright(),
                new GrooveCorner(),
                new GrooveWithinHolder(),
                new FaceGrooveDiameters()),
        Turning::blade);
  }
}
