package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.PitchWithinDepth;
import arborline.core.tool.rule.ThreadKnown;
import arborline.core.tool.rule.ThreadMillEnters;
import arborline.core.tool.rule.ThreadPitch;
import arborline.core.tool.rule.ThreadsPerInch;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Mills a thread along a helix. */
@AutoService(ToolClass.class)
public final class ThreadMill extends DrawnClass {

  public ThreadMill() {
    super(
        ClassSheet.named("thread-mill", "thread mill", Process.THREADING)
            .moving(Motion.MILLS)
            .also("thread milling cutter")
            .requires("DC", "TP")
            .asks("APMX", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .replaces("OAL", "LF")
            .implies(Shapes.pitch())
            .implies(new Same("TP", "TPN"))
            .implies(new Same("APMX", "LCF"))
            .implies(CylindricalShank.sizes())
            .allows("DCONMS", "TDN", "TDZ", "PHD", "NT", "LU", "LCF", "DN", "LN", "THFT", "TPI")
            .defaults("NOF", "4")
            .defaults("THFT", "60")
            .rules(
                new ThreadKnown(),
                new ThreadPitch(),
                new ThreadMillEnters(),
                new PitchWithinDepth(),
                new DepthWithinUsableLength(),
                new UsableWithinTool(),
                new ThreadsPerInch()),
        tool -> EndMills.outline(tool, 0));
  }
}
