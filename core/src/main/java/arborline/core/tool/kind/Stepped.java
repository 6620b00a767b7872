package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/** Outlines of tools with several diameters behind one another. */
final class Stepped {

  private Stepped() {}

  private static double cone(double from, double to, double included) {
    double half = Math.toRadians(Math.clamp(included, 1, 180) / 2);
    return Math.abs(to - from) / 2 / Math.tan(half);
  }

  /** DC up to SDL1, DC1 up to SDL2, then DC2; the ways between lean by STA1 and STA2. */
  static Outline outline(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double first = tool.approx("DC", 1);
    List<Point> back = new ArrayList<>();
    double point = cone(0, first, tool.approx("SIG", 118));
    back.add(new Point(tip, 0));
    back.add(new Point(Math.max(0, tip - point), first / 2));
    double before = first;
    for (int step = 1; step <= 2; step++) {
      double diameter = tool.approx("DC" + step, 0);
      if (diameter > before) {
        double at = tip - tool.approx("SDL" + step, step * 2 * first);
        double lean = cone(before, diameter, tool.approx("STA" + step, 90));
        at = Math.clamp(at, Math.min(lean, back.getLast().z()), back.getLast().z());
        back.add(new Point(at, before / 2));
        back.add(new Point(Math.max(0, at - lean), diameter / 2));
        before = diameter;
      }
    }
    double end = Math.clamp(tip - tool.approx("LCF", tip * 0.6), 0, back.getLast().z());
    back.add(new Point(end, before / 2));
    double shank = tool.approx("DMM", before);
    outline
        .straight(Part.Kind.SHANK, 0, end, shank)
        .shaped(Part.Kind.CUTTING, back.reversed())
        .across("DMM", end * 0.4, shank)
        .across("DC", tip - point, first)
        .along("SDL1", tip - tool.approx("SDL1", 0), tip)
        .along("SDL2", tip - tool.approx("SDL2", 0), tip)
        .along("LCF", tip - tool.approx("LCF", 0), tip)
        .angle("SIG", tip, 0);
    if (tool.has("DC1")) {
      outline.across(
          "DC1", Math.max(end, tip - tool.approx("SDL1", 2 * first) - 1), tool.approx("DC1", 0));
    }
    return outline.build();
  }

  /** A thin pilot, then a cone up to the shank. */
  static Outline centre(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double pilot = tool.approx("DC", 1);
    double shank = Math.max(tool.approx("DMM", 2.5 * pilot), pilot);
    double point = cone(0, pilot, tool.approx("SIG", 118));
    double straight = tip - Math.max(tool.approx("SDL", 1.3 * pilot), point);
    double lean = cone(pilot, shank, tool.approx("STA", 60));
    double flutes = Math.max(0, straight - lean);
    return outline
        .straight(Part.Kind.SHANK, 0, flutes, shank)
        .shaped(
            Part.Kind.CUTTING,
            List.of(
                new Point(flutes, shank / 2),
                new Point(Math.max(flutes, straight), pilot / 2),
                new Point(tip - point, pilot / 2),
                new Point(tip, 0)))
        .across("DMM", flutes * 0.4, shank)
        .across("DC", tip - point, pilot)
        .angle("SIG", tip, 0)
        .angle("STA", straight - lean / 2, (pilot + shank) / 4)
        .build();
  }

  /** A flat cutting ring around a guiding pilot. */
  static Outline counterbore(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double diameter = tool.approx("DC", 1);
    double pilot = Math.min(tool.approx("DN", 0.5 * diameter), diameter);
    double guide = Math.min(tool.approx("LN", pilot), 0.3 * tip);
    double depth = Math.min(tool.approx("APMX", diameter), tip - guide);
    double shank = tool.approx("DMM", diameter);
    return outline
        .straight(Part.Kind.SHANK, 0, tip - guide - depth, shank)
        .straight(Part.Kind.CUTTING, tip - guide - depth, tip - guide, diameter)
        .straight(Part.Kind.NECK, tip - guide, tip, pilot)
        .across("DMM", (tip - guide - depth) * 0.4, shank)
        .across("DC", tip - guide - depth / 2, diameter)
        .across("DN", tip - guide / 2, pilot)
        .along("APMX", tip - guide - depth, tip - guide)
        .build();
  }
}
