package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.NeckSmallerThanLargest;
import com.google.auto.service.AutoService;

/** Bores from behind with an oriented stop. */
@AutoService(ToolClass.class)
public final class BackBoringBar extends DrawnClass {

  public BackBoringBar() {
    super(
        ClassSheet.named("back-boring-bar", "back-boring bar", Process.HOLE_MAKING)
            .moving(Motion.TURNS)
            .also("back boring tool")
            .requires("DCX")
            .asks("DN", "OFFSET", "DMM", "LF")
            .allows("RE", "LU", "MIID", "OAL")
            .rules(new NeckSmallerThanLargest()),
        Boring::outline);
  }
}
