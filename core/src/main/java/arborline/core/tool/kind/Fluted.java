package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.List;

/** Outline of straight tools with a short lead at the tip: reamers and taps. */
final class Fluted {

  private static final double TAP_LEAD_PITCHES = 3;

  private Fluted() {}

  static Outline outline(Tool tool, double diameter, String diameterSymbol, double lead) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double depth =
        Math.max(Math.min(tool.approx("APMX", 2.5 * diameter), tip), Math.min(lead, tip));
    List<Point> edge =
        List.of(
            new Point(tip - depth, diameter / 2),
            new Point(tip - lead, diameter / 2),
            new Point(tip, Math.max(diameter / 2 - lead * 0.35, diameter * 0.3)));
    outline
        .shankAndNeck(tip - depth, diameter * 0.9)
        .shaped(Part.Kind.CUTTING, edge)
        .across(diameterSymbol, tip - depth / 2, diameter)
        .along("APMX", tip - depth, tip);
    return outline.build();
  }

  /** A tap, with three pitches of lead. */
  static Outline tap(Tool tool) {
    double diameter = tool.approx("TD", tool.approx("DC", 1));
    return outline(tool, diameter, "TD", TAP_LEAD_PITCHES * tool.approx("TP", diameter * 0.15));
  }
}
