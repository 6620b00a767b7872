package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.List;

/** Outlines of bars, probes, nozzles and aggregates. */
final class Boring {

  private Boring() {}

  /** A bar whose edge sweeps a circle at its front. */
  static Outline outline(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    String sweeping = tool.has("DC") ? "DC" : "DCX";
    double swept = tool.approx(sweeping, 20);
    double body = Math.min(tool.approx("DN", 0.75 * swept), swept);
    double shank = tool.approx("DMM", body);
    double edge = Math.min(0.12 * swept, 0.2 * tip);
    double from = 0.35 * tip;
    return outline
        .straight(Part.Kind.SHANK, 0, from, shank)
        .straight(Part.Kind.BODY, from, tip - edge, body)
        .shaped(
            Part.Kind.CUTTING,
            List.of(new Point(tip - edge, swept / 2), new Point(tip, swept / 2 * 0.94)))
        .across("DMM", from * 0.4, shank)
        .across(sweeping, tip - edge, swept)
        .across("DN", (from + tip) / 2, body)
        .build();
  }

  /** A stylus with a ball. */
  static Outline probe(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double ball = tool.approx("DC", 6);
    double stem = Math.min(tool.approx("DN", 0.6 * ball), 0.95 * ball);
    double stylus = Math.min(tool.approx("LU", 0.5 * tip), tip);
    double body = tool.approx("BD", tool.approx("DMM", 4 * ball));
    double behind = Math.sqrt(Math.max(0, ball * ball - stem * stem)) / 2;
    double centre = tip - ball / 2;
    List<Point> round = OutlineBuilder.corner(tip, ball / 2, ball / 2);
    return outline
        .straight(Part.Kind.BODY, 0, tip - stylus, body)
        .straight(Part.Kind.NECK, tip - stylus, centre - behind, stem)
        .shaped(
            Part.Kind.CUTTING,
            java.util.stream.Stream.concat(
                    java.util.stream.Stream.of(new Point(centre - behind, stem / 2)),
                    round.stream())
                .toList())
        .across("DC", centre, ball)
        .across("DN", (tip - stylus + centre) / 2, stem)
        .along("LU", tip - stylus, tip)
        .build();
  }

  /** A nozzle and the beam that leaves it. */
  static Outline nozzle(Tool tool) {
    double bore = tool.approx("NOZZLE", 1.5);
    double standoff = tool.approx("STANDOFF", 1);
    double body = Math.max(12 * bore, 10);
    double length = Math.max(tool.approx("LF", 2.2 * body), body);
    OutlineBuilder outline = OutlineBuilder.of(tool, length + standoff);
    return outline
        .straight(Part.Kind.BODY, 0, length * 0.5, body)
        .shaped(
            Part.Kind.BODY,
            List.of(new Point(length * 0.5, body / 2), new Point(length, 1.5 * bore)))
        .straight(
            Part.Kind.CUTTING, length, length + standoff, Math.min(tool.approx("KERF", bore), body))
        .along("STANDOFF", length, length + standoff)
        .across("NOZZLE", length, bore)
        .build();
  }

  /** A body that turns the axis away; the carried tool is a stack of its own. */
  static Outline aggregate(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double body = tool.approx("BD", 1.6 * tool.approx("DMM", 50));
    return outline
        .straight(Part.Kind.SHANK, 0, 0.25 * tip, tool.approx("DMM", 50))
        .straight(Part.Kind.BODY, 0.25 * tip, tip, body)
        .across("DMM", 0.1 * tip, tool.approx("DMM", 50))
        .build();
  }
}
