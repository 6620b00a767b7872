package arborline.core.tool.kind;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.tool.outline.SegmentTable;
import java.util.ArrayList;
import java.util.List;

/** Outlines of mills whose edge is not a straight cylinder. */
final class Tapers {

  private static final int STEPS = 14;

  private Tapers() {}

  /** Widens from the tip by the half angle BHTA; the tip is rounded by RE. */
  static Outline outline(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double narrow = tool.approx("DCN", 0.4 * tool.approx("DC", 1));
    double depth = Math.min(tool.approx("APMX", 2 * narrow), tip);
    double wide =
        narrow + 2 * depth * Math.tan(Math.toRadians(Math.clamp(tool.approx("BHTA", 3), 0, 60)));
    double round = Math.min(tool.approx("RE", 0), Math.min(narrow / 2, depth));
    List<Point> edge = new ArrayList<>();
    edge.add(new Point(tip - depth, wide / 2));
    edge.addAll(
        round > 0
            ? OutlineBuilder.corner(tip, narrow / 2, round)
            : List.of(new Point(tip, narrow / 2)));
    return outline
        .shankAndNeck(tip - depth, wide)
        .shaped(Part.Kind.CUTTING, edge)
        .across("DCN", tip, narrow)
        .across("DC", tip - depth, wide)
        .along("APMX", tip - depth, tip)
        .angle("BHTA", tip - depth / 2, (narrow + wide) / 4)
        .build();
  }

  /** A ball that stands out of a thinner neck all around. */
  static Outline ballOnNeck(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double radius = tool.approx("DC", 1) / 2;
    double neck = Math.min(tool.approx("DN", radius), 2 * radius * 0.98);
    double from = Math.asin(neck / 2 / radius);
    List<Point> ball = new ArrayList<>();
    for (int step = 0; step <= STEPS; step++) {
      double turn = Math.PI - from - (Math.PI - from) * step / STEPS;
      ball.add(
          new Point(tip - radius + radius * Math.cos(turn), Math.max(0, radius * Math.sin(turn))));
    }
    double behind = ball.getFirst().z();
    double neckFrom = Math.max(0, tip - tool.approx("LN", 6 * radius));
    double shank = tool.approx("DMM", 2 * radius);
    return outline
        .straight(Part.Kind.SHANK, 0, Math.min(neckFrom, behind), shank)
        .straight(Part.Kind.NECK, Math.min(neckFrom, behind), behind, neck)
        .shaped(Part.Kind.CUTTING, ball)
        .across("DMM", neckFrom * 0.4, shank)
        .across("DN", (neckFrom + behind) / 2, neck)
        .across("DC", tip - radius, 2 * radius)
        .along("LN", tip - tool.approx("LN", 0), tip)
        .build();
  }

  /** A flank that is part of a circle larger than the cutter. */
  static Outline barrel(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double widest = tool.approx("DC", 1) / 2;
    double depth = Math.min(tool.approx("APMX", 2 * widest), tip);
    double flank = Math.max(tool.approx("PRFRAD", 6 * widest), depth / 2);
    double round = Math.min(tool.approx("RE", 0.15 * widest), 0.4 * widest);
    List<Point> edge = new ArrayList<>();
    for (int step = 0; step <= STEPS; step++) {
      double z = tip - depth + (depth - round) * step / STEPS;
      double off = z - (tip - depth / 2);
      double sag = flank - Math.sqrt(Math.max(0, flank * flank - off * off));
      edge.add(new Point(z, Math.max(round, widest - sag)));
    }
    double end = edge.getLast().r();
    edge.addAll(OutlineBuilder.corner(tip, end, Math.min(round, end)));
    return outline
        .shankAndNeck(tip - depth, 2 * edge.getFirst().r())
        .shaped(Part.Kind.CUTTING, edge)
        .across("DC", tip - depth / 2, 2 * widest)
        .along("APMX", tip - depth, tip)
        .radius("PRFRAD", tip - depth * 0.6, widest)
        .build();
  }

  /** A hollow quarter circle from the largest diameter down to the tip. */
  static Outline cornerRounding(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double wide = tool.approx("DCX", tool.approx("DC", 1)) / 2;
    double radius = Math.min(tool.approx("PRFRAD", wide / 2), Math.min(wide, tip * 0.5));
    double narrow = Math.min(tool.approx("DCN", 2 * (wide - radius)), 2 * wide);
    List<Point> edge = new ArrayList<>();
    edge.add(new Point(tip - radius * 1.4, wide));
    for (int step = 0; step <= STEPS; step++) {
      double turn = Math.PI / 2 * step / STEPS;
      edge.add(
          new Point(
              tip - radius * Math.cos(turn),
              Math.max(0, Math.min(wide, narrow / 2 + radius - radius * Math.sin(turn)))));
    }
    return outline
        .shankAndNeck(tip - radius * 1.4, 2 * wide)
        .shaped(Part.Kind.CUTTING, edge)
        .across("DCX", tip - radius * 1.2, 2 * wide)
        .across("DCN", tip, narrow)
        .radius("PRFRAD", tip - radius * 0.3, narrow / 2 + radius * 0.3)
        .build();
  }

  /** Widest at the tip, narrower towards the neck. */
  static Outline dovetail(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    double wide = tool.approx("DC", 1);
    double depth = Math.min(tool.approx("APMX", 0.3 * wide), tip * 0.6);
    double angle = Math.toRadians(Math.clamp(tool.approx("KAPR", 60), 1, 179));
    double narrow = Math.max(0.05 * wide, wide - 2 * depth / Math.tan(angle));
    double neck = Math.min(tool.approx("DN", narrow), wide);
    return outline
        .shankAndNeck(tip - depth, neck)
        .shaped(
            Part.Kind.CUTTING,
            List.of(new Point(tip - depth, narrow / 2), new Point(tip, wide / 2)))
        .across("DC", tip, wide)
        .along("APMX", tip - depth, tip)
        .angle("KAPR", tip - depth / 2, (narrow + wide) / 4)
        .build();
  }

  /** A profile of its own, or a plain cylinder while it has none. */
  static Outline form(Tool tool) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    double tip = outline.length();
    SegmentTable table = SegmentTable.read(tool.word(SegmentTable.SYMBOL).orElse(""));
    if (table.fault().isPresent()) {
      return EndMills.outline(tool, 0);
    }
    List<Point> drawn = table.drawn();
    double depth = Math.min(drawn.getLast().z(), tip);
    List<Point> edge = new ArrayList<>();
    for (int i = drawn.size() - 1; i >= 0; i--) {
      edge.add(new Point(Math.max(0, tip - drawn.get(i).z()), drawn.get(i).r()));
    }
    double widest = edge.stream().mapToDouble(Point::r).max().orElse(0);
    return outline
        .shankAndNeck(tip - depth, 2 * edge.getFirst().r())
        .shaped(Part.Kind.CUTTING, edge)
        .across("DCX", tip - depth / 2, 2 * widest)
        .build();
  }
}
