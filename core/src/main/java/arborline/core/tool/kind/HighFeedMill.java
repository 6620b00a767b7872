package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.DiameterWithinLargest;
import arborline.core.tool.rule.EdgeAngleRange;
import com.google.auto.service.AutoService;

/** End mill with a flat lead angle for high feed. */
@AutoService(ToolClass.class)
public final class HighFeedMill extends DrawnClass {

  public HighFeedMill() {
    super(
        ClassSheet.named("end-mill-high-feed", "high-feed mill", Process.MILLING)
            .also("high feed end mill")
            .requires("DCX")
            .asks("KAPR", "APMX", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .replaces("OAL", "LF")
            .implies(new Same("DCX", "DC"))
            .implies(new Same("NOF", "ZEFP"))
            .implies(new Same("NOF", "CICT"))
            .implies(CylindricalShank.sizes())
            .allows("DCONMS", "DC", "RE", "LU", "LN", "DN", "LF", "MIID", "CICT")
            .defaults("KAPR", "15")
            .defaults("NOF", "4")
            .rules(
                new DiameterWithinLargest(), new DepthWithinUsableLength(), new EdgeAngleRange()),
        tool -> EndMills.outline(tool, Math.min(tool.approx("RE", 1), tool.approx("APMX", 1))));
  }
}
