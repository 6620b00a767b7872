package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.ShankUpright;
import com.google.auto.service.AutoService;

/** Rolls a knurl. */
@AutoService(ToolClass.class)
public final class KnurlingTool extends DrawnClass {

  public KnurlingTool() {
    super(
        ClassSheet.named("knurling-tool", "knurling tool", Process.TURNING)
            .moving(Motion.STANDS)
            .also("knurl")
            .asks("TP", "PATTERN", "H", "B", "LF")
            .allows("CW", "DC")
            .defaults("PATTERN", "straight")
            .rules(new ShankUpright()),
        Turning::blade);
  }
}
