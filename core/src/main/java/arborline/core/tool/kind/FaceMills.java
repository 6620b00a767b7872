package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.List;

/** Outline of cutters with inserts around a body that hangs on an arbor. */
final class FaceMills {

  private FaceMills() {}

  static Outline outline(Tool tool) {
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
            List.of(
                new Point(Math.min(tip * 0.45, tip - depth), body / 2),
                new Point(tip - depth, outer / 2 * 0.97)))
        .shaped(
            Part.Kind.CUTTING,
            List.of(new Point(tip - depth, outer / 2), new Point(tip, inner / 2)))
        .across("DC", tip, inner)
        .across("DCONMS", 0, tool.approx("DCONMS", 0.3 * body))
        .along("APMX", tip - depth, tip);
    if (outer > inner) {
      outline.across("DCX", tip - depth, outer).angle("KAPR", tip - depth / 2, (inner + outer) / 4);
    }
    return outline.build();
  }
}
