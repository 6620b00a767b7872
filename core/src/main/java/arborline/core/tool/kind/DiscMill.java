package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.rule.DiscDepth;
import com.google.auto.service.AutoService;

/** Disc on a shank that mills slots from the side. */
@AutoService(ToolClass.class)
public final class DiscMill implements ToolClass {

  private static final ClassSheet SHEET =
      ClassSheet.named("slot-mill-disc", "disc slot mill", Process.MILLING)
          .also("slot mill", "disc mill", "side and face mill", "t slot mill")
          .requires("DC", "CW", "CDX", "DMM", "OAL", "NOF")
          .allows("DN", "LN", "LU", "RE")
          .rules(new DiscDepth())
          .build();

  @Override
  public ClassSheet sheet() {
    return SHEET;
  }

  @Override
  public Outline outline(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double diameter = tool.approx("DC", 1);
    double width = Math.min(tool.approx("CW", diameter * 0.1), tip * 0.5);
    double neck = tool.approx("DN", diameter - 2 * tool.approx("CDX", diameter * 0.25));
    double shank = tool.approx("DMM", neck);
    double neckFrom = Math.max(0, tip - tool.approx("LN", width + diameter));
    return outline
        .straight(Part.Kind.SHANK, 0, neckFrom, shank)
        .straight(Part.Kind.NECK, neckFrom, tip - width, neck)
        .straight(Part.Kind.CUTTING, tip - width, tip, diameter)
        .across("DMM", neckFrom * 0.4, shank)
        .across("DN", (neckFrom + tip - width) / 2, neck)
        .across("DC", tip - width / 2, diameter)
        .along("CW", tip - width, tip)
        .along("LN", tip - tool.approx("LN", 0), tip)
        .build();
  }
}
