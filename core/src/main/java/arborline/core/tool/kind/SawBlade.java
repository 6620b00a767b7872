package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.BoreWithinCutter;
import arborline.core.tool.rule.KerfWiderThanBody;
import com.google.auto.service.AutoService;

/** Circular saw blade on an arbor or an aggregate. */
@AutoService(ToolClass.class)
public final class SawBlade extends DrawnClass {

  public SawBlade() {
    super(
        ClassSheet.named("saw-blade", "saw blade", Process.ROUTING)
            .also("circular saw blade", "saw")
            .requires("DC", "CW")
            .asks("DCONMS", "NOF", "RPMX", "WB")
            .allows("GAMO", "LF", "CDX")
            .defaults("NOF", "24")
            .rules(new BoreWithinCutter(), new KerfWiderThanBody()),
        Discs::saw);
  }
}
