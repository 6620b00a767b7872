package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.implied.ThreadNamed;
import arborline.core.tool.rule.LeadOfTap;
import arborline.core.tool.rule.PitchWithinThread;
import arborline.core.tool.rule.TapDrill;
import arborline.core.tool.rule.TapIsThread;
import arborline.core.tool.rule.ThreadKnown;
import arborline.core.tool.rule.ThreadPitch;
import arborline.core.tool.rule.ThreadsPerInch;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Cuts an internal thread. */
@AutoService(ToolClass.class)
public final class CuttingTap extends DrawnClass {

  public CuttingTap() {
    super(
        ClassSheet.named("tap-cutting", "cutting tap", Process.THREADING)
            .also("tap", "machine tap")
            .requires("TD", "TP")
            .asks("DC", "TDZ", "THCHT", "DMM", "OAL")
            .implies(ThreadNamed.sizes())
            .implies(Shapes.pitch())
            .implies(new Same("DC", "TD"))
            .implies(CylindricalShank.sizes())
            .allows("APMX", "TCTR", "PHD", "DRVS", "LU", "LCF", "NOF", "DN", "LN", "TPI")
            .defaults("THCHT", "C")
            .defaults("TCTR", "6H")
            .rules(
                new LeadOfTap(),
                new ThreadKnown(),
                new TapIsThread(),
                new ThreadPitch(),
                new TapDrill(),
                new ThreadsPerInch(),
                new PitchWithinThread(),
                new UsableWithinTool()),
        Fluted::tap);
  }
}
