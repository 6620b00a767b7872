package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Same;
import arborline.core.tool.rule.BoreWithinBody;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.EdgesWithinFlutes;
import com.google.auto.service.AutoService;

/** Square shoulder cutter with inserts, on an arbor or shank. */
@AutoService(ToolClass.class)
public final class ShoulderMill extends DrawnClass {

  public ShoulderMill() {
    super(
        ClassSheet.named("shoulder-mill", "shoulder mill", Process.MILLING)
            .also("shell mill", "square shoulder mill")
            .requires("DC")
            .asks("APMX", "DCONMS", "CICT", "LF")
            .replaces("LF", "OAL")
            .implies(new Same("CICT", "ZEFP"))
            .implies(new Same("CICT", "NOF"))
            .implies(new Same("APMX", "LE"))
            .allows("LE", "KAPR", "BD", "RE", "ZEFP", "MIID", "OAL", "NOF", "LU")
            .defaults("KAPR", "90")
            .rules(new BoreWithinBody(), new DepthWithinUsableLength(), new EdgesWithinFlutes()),
        FaceMills::outline);
  }
}
