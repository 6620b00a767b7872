package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.List;

/** Outline of tools that end in a cone: drills, spot drills, chamfer mills. */
final class Pointed {

  private Pointed() {}

  static Outline outline(Tool tool, double diameter, String diameterSymbol) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double flat = Math.min(tool.approx("DCN", 0), diameter);
    double angle = Math.clamp(tool.approx("SIG", 118), 1, 180);
    double cone = Math.min((diameter - flat) / 2 / Math.tan(Math.toRadians(angle / 2)), tip * 0.6);
    double fluted =
        Math.clamp(tool.approx("LCF", tool.approx("LU", cone + 0.5 * diameter)), cone, tip);
    double shank = tool.approx("DMM", diameter);
    outline
        .straight(Part.Kind.SHANK, 0, tip - fluted, shank)
        .straight(Part.Kind.FLUTES, tip - fluted, tip - cone, diameter)
        .shaped(
            Part.Kind.CUTTING,
            List.of(new Point(tip - cone, diameter / 2), new Point(tip, flat / 2)))
        .across(diameterSymbol, tip - cone, diameter)
        .along("LCF", tip - fluted, tip)
        .along("LU", tip - tool.approx("LU", 0), tip)
        .along("PL", tip - tool.approx("PL", 0), tip)
        .angle("SIG", tip, flat / 2);
    if (!diameterSymbol.equals("DMM")) {
      outline.across("DMM", (tip - fluted) * 0.4, shank);
    }
    if (flat > 0) {
      outline.across("DCN", tip, flat);
    }
    return outline.build();
  }
}
