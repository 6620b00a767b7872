package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.implied.ThreadNamed;
import arborline.core.tool.rule.FormingTapDrill;
import arborline.core.tool.rule.LeadOfTap;
import arborline.core.tool.rule.PitchWithinThread;
import arborline.core.tool.rule.TapIsThread;
import arborline.core.tool.rule.ThreadKnown;
import arborline.core.tool.rule.ThreadPitch;
import arborline.core.tool.rule.ThreadsPerInch;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Forms an internal thread without chips. */
@AutoService(ToolClass.class)
public final class FormingTap extends DrawnClass {

  public FormingTap() {
    super(
        ClassSheet.named("tap-forming", "forming tap", Process.THREADING)
            .also("thread former", "roll tap")
            .requires("TD", "TP")
            .asks("DC", "TDZ", "DMM", "OAL")
            .implies(ThreadNamed.sizes())
            .implies(Shapes.pitch())
            .implies(new Same("DC", "TD"))
            .implies(CylindricalShank.sizes())
            .allows("APMX", "TCTR", "PHD", "DRVS", "LU", "LCF", "DN", "LN", "THCHT", "TPI")
            .defaults("TCTR", "6HX")
            .defaults("THCHT", "C")
            .rules(
                new LeadOfTap(),
                new ThreadKnown(),
                new TapIsThread(),
                new ThreadPitch(),
                new FormingTapDrill(),
                new ThreadsPerInch(),
                new PitchWithinThread(),
                new UsableWithinTool()),
        Fluted::tap);
  }
}
