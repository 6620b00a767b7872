package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.FormingTapDrill;
import arborline.core.tool.rule.ThreadPitch;
import arborline.core.tool.rule.ThreadsPerInch;
import com.google.auto.service.AutoService;

/** Forms an internal thread without chips. */
@AutoService(ToolClass.class)
public final class FormingTap extends DrawnClass {

  public FormingTap() {
    super(
        ClassSheet.named("tap-forming", "forming tap", Process.THREADING)
            .also("thread former", "roll tap")
            .requires("DC", "TD", "TP", "TDZ", "DMM", "OAL")
            .allows("APMX", "TCTR", "PHD", "DRVS", "LU", "LCF", "DN", "LN", "THCHT", "TPI")
            .defaults("TCTR", "6HX")
            .defaults("THCHT", "C")
            .rules(new ThreadPitch(), new FormingTapDrill(), new ThreadsPerInch()),
        Fluted::tap);
  }
}
