package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.DiameterWithinLargest;
import arborline.core.tool.rule.EdgeAngleRange;
import com.google.auto.service.AutoService;
import java.util.List;

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
        HighFeedMill::drawn);
  }

  /**
   * Rises from the tip diameter by the edge angle to the largest one; where no tip diameter is
   * told, by the depth of cut.
   */
  private static Outline drawn(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double wide = tool.approx("DCX", tool.approx("DC", 1));
    double depth = Math.min(tool.approx("APMX", 0.05 * wide), 0.2 * tip);
    double steep = Math.tan(Math.toRadians(Math.clamp(tool.approx("KAPR", 15), 1, 89)));
    double told = tool.approx("DC", wide);
    double narrow = told < wide ? told : Math.max(0, wide - 2 * depth / steep);
    double rise = Math.min((wide - narrow) / 2 * steep, 0.2 * tip);
    double from = tip - Math.max(depth, rise);
    return outline
        .shankAndNeck(from, wide)
        .shaped(
            Part.Kind.CUTTING,
            List.of(
                new Point(from, wide / 2),
                new Point(tip - rise, wide / 2),
                new Point(tip, narrow / 2)))
        .across("DCX", from, wide)
        .across("DC", tip, narrow)
        .along("APMX", tip - depth, tip)
        .angle("KAPR", tip - rise / 2, (narrow + wide) / 4)
        .build();
  }
}
