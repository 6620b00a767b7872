package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.rule.DovetailNeck;
import arborline.core.tool.rule.EdgeAngleRange;
import arborline.core.tool.rule.FlanksUndercut;
import com.google.auto.service.AutoService;

/** Mills the flanks of a dovetail. */
@AutoService(ToolClass.class)
public final class DovetailMill extends DrawnClass {

  public DovetailMill() {
    super(
        ClassSheet.named("dovetail-mill", "dovetail mill", Process.MILLING)
            .also("dovetail cutter")
            .requires("DC", "KAPR")
            .asks("DN", "APMX", "DMM", "OAL", "NOF")
            .implies(CylindricalShank.sizes())
            .allows("RE", "LN", "LU")
            .defaults("KAPR", "60")
            .defaults("NOF", "6")
            .rules(new DovetailNeck(), new FlanksUndercut(), new EdgeAngleRange()),
        Tapers::dovetail);
  }
}
