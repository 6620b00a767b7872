package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.implied.ThreadNamed;
import arborline.core.tool.rule.PitchWithinThread;
import arborline.core.tool.rule.ThreadKnown;
import arborline.core.tool.rule.ThreadPitch;
import com.google.auto.service.AutoService;

/** Cuts an external thread over a bolt. */
@AutoService(ToolClass.class)
public final class ThreadingDie extends DrawnClass {

  public ThreadingDie() {
    super(
        ClassSheet.named("die", "threading die", Process.THREADING)
            .also("die")
            .requires("TD", "TP")
            .asks("TDZ", "DC", "THUB")
            .implies(ThreadNamed.sizes())
            .implies(Shapes.pitch())
            .allows("OAL", "TCTR", "HAND", "DMM")
            .defaults("TCTR", "6g")
            .rules(new ThreadKnown(), new ThreadPitch(), new PitchWithinThread()),
        Discs::outline);
  }
}
