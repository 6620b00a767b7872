package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;

/** Outlines of discs on a neck, a shank or an arbor. */
final class Discs {

  private Discs() {}

  static Outline outline(Tool tool) {
    return tool.has("DCONMS") && !tool.has("DMM") ? bored(tool) : shanked(tool);
  }

  /** A disc with a bore: as long as it is wide, its hub where one is given. */
  private static Outline bored(Tool tool) {
    double diameter = tool.approx("DC", 100);
    double width = tool.approx("CW", 0.1 * diameter);
    double hub = Math.max(width, tool.approx("LF", width));
    double bore = tool.approx("DCONMS", 0.3 * diameter);
    return OutlineBuilder.of(tool, hub)
        .straight(Part.Kind.BODY, 0, hub - width, 1.6 * bore)
        .straight(Part.Kind.CUTTING, hub - width, hub, diameter)
        .across("DC", hub - width / 2, diameter)
        .across("DCONMS", 0, bore)
        .along("CW", hub - width, hub)
        .build();
  }

  private static Outline shanked(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double diameter = tool.approx("DC", tool.approx("TD", 1) * 2.2);
    double width = Math.min(tool.approx("CW", tool.approx("THUB", diameter * 0.1)), tip * 0.5);
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

  /** A thin blade on its hub. */
  static Outline saw(Tool tool) {
    double diameter = tool.approx("DC", 100);
    double kerf = tool.approx("CW", 3);
    double hub = Math.max(2 * kerf, tool.approx("LF", 0.08 * diameter));
    OutlineBuilder outline = OutlineBuilder.of(tool, hub);
    double bore = tool.approx("DCONMS", 0.12 * diameter);
    return outline
        .straight(Part.Kind.SHANK, 0, hub - kerf, 1.8 * bore)
        .straight(Part.Kind.CUTTING, hub - kerf, hub, diameter)
        .across("DC", hub - kerf / 2, diameter)
        .across("DCONMS", 0, bore)
        .along("CW", hub - kerf, hub)
        .build();
  }
}
