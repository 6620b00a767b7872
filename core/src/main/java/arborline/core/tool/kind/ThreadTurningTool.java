package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.PitchesRise;
import arborline.core.tool.rule.ShankUpright;
import arborline.core.tool.rule.ThreadsPerInch;
import com.google.auto.service.AutoService;

/** Holder and insert that turn a thread. */
@AutoService(ToolClass.class)
public final class ThreadTurningTool extends DrawnClass {

  public ThreadTurningTool() {
    super(
        ClassSheet.named("turning-threading", "thread turning tool", Process.TURNING)
            .also("threading tool", "screw cutting tool")
            .designatedBy("SHANK", "MIID")
            .asks("TPN", "TPX", "THFT", "HAND", "H", "B", "LF")
            .replaces("H", "DMM")
            .replaces("B", "DMM")
            .implies(Shapes.pitch())
            .implies(new Same("TPN", "TP"))
            .implies(new Same("TPX", "TP"))
            .allows("NT", "WF", "TP", "TPI", "RE", "CW", "DMM")
            .defaults("THFT", "60")
            .defaults("HAND", "R")
            .rules(new ShankUpright(), new PitchesRise(), new ThreadsPerInch()),
        Turning::blade);
  }
}
