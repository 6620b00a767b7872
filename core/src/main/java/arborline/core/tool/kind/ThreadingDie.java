package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.ThreadPitch;
import com.google.auto.service.AutoService;

/** Cuts an external thread over a bolt. */
@AutoService(ToolClass.class)
public final class ThreadingDie extends DrawnClass {

  public ThreadingDie() {
    super(
        ClassSheet.named("die", "threading die", Process.THREADING)
            .also("die")
            .requires("TD", "TP", "TDZ", "DC", "THUB")
            .allows("OAL", "TCTR", "HAND", "DMM")
            .defaults("TCTR", "6g")
            .rules(new ThreadPitch()),
        Discs::outline);
  }
}
