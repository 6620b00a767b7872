package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.tool.rule.DiameterWithinLargest;
import arborline.core.tool.rule.FaceMillDiameters;
import com.google.auto.service.AutoService;
import java.util.List;

/** Disc with inserts on its face, hung on an arbor. */
@AutoService(ToolClass.class)
public final class FaceMill implements ToolClass {

  private static final ClassSheet SHEET =
      ClassSheet.named("face-mill", "face mill", Process.MILLING)
          .requires("DC", "DCX", "KAPR", "APMX", "DCONMS", "CICT", "LF")
          .allows("BD", "RE", "ZEFP", "MIID", "OAL", "NOF")
          .defaults("KAPR", "45")
          .rules(new DiameterWithinLargest(), new FaceMillDiameters())
          .build();

  @Override
  public ClassSheet sheet() {
    return SHEET;
  }

  @Override
  public Outline outline(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double inner = tool.approx("DC", tool.approx("DCX", 50));
    double outer = Math.max(inner, tool.approx("DCX", inner));
    double depth = Math.min(tool.approx("APMX", 0.1 * outer), 0.6 * tip);
    double body = tool.approx("BD", 0.8 * inner);
    outline
        .straight(Part.Kind.BODY, 0, tip * 0.45, body)
        .shaped(
            Part.Kind.BODY,
            List.of(new Point(tip * 0.45, body / 2), new Point(tip - depth, outer / 2 * 0.97)))
        .shaped(
            Part.Kind.CUTTING,
            List.of(new Point(tip - depth, outer / 2), new Point(tip, inner / 2)))
        .across("DC", tip, inner)
        .across("DCX", tip - depth, outer)
        .across("DCONMS", 0, tool.approx("DCONMS", 0.3 * body))
        .along("APMX", tip - depth, tip)
        .angle("KAPR", tip - depth / 2, (inner + outer) / 4);
    return outline.build();
  }
}
