package arborline.core.tool.kind;

import arborline.core.designation.InsertReader;
import arborline.core.designation.InsertShape;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/** Plans of turning tools, seen onto the rake face: the insert in true shape in its shank. */
final class Turning {

  private Turning() {}

  private static boolean left(Tool tool) {
    return tool.word("HAND").filter(hand -> hand.equalsIgnoreCase("L")).isPresent();
  }

  private static boolean handless(Tool tool) {
    return tool.word("HAND").filter(hand -> hand.equalsIgnoreCase("N")).isPresent();
  }

  /** Shape of the insert: from its designation, its letter, or its angle; else a rhomb of 80. */
  private static InsertShape shape(Tool tool) {
    var designated =
        tool.word("MIID")
            .flatMap(text -> InsertReader.read(text).value())
            .map(insert -> insert.shape());
    if (designated.isPresent()) {
      return designated.get();
    }
    String letter = tool.word("SC").orElse("");
    for (InsertShape shape : InsertShape.values()) {
      boolean angle = tool.has("EPSR") && shape.angle() == tool.approx("EPSR", 0);
      if (shape.name().equalsIgnoreCase(letter) || letter.isEmpty() && angle) {
        return shape;
      }
    }
    return InsertShape.C;
  }

  private static double circle(Tool tool, double otherwise) {
    return tool.word("MIID")
        .flatMap(text -> InsertReader.read(text).value())
        .flatMap(insert -> insert.size().circle())
        .map(Number::doubleValue)
        .orElse(tool.approx("IC", otherwise));
  }

  /** An insert alone, its cutting corner at the far end. */
  static Outline insert(Tool tool) {
    double circle = circle(tool, 12.7);
    InsertShape shape = shape(tool);
    double half = shape.round() ? 90 : shape.angle() / 2.0;
    List<Point> plan =
        InsertPlan.of(shape, circle, 180 - half, new Point(0, 0), new Point(1, 0), new Point(0, 1));
    double near = plan.stream().mapToDouble(Point::z).min().orElse(0);
    double far = plan.stream().mapToDouble(Point::z).max().orElse(circle);
    double middle =
        (plan.stream().mapToDouble(Point::r).min().orElse(0)
                + plan.stream().mapToDouble(Point::r).max().orElse(0))
            / 2;
    OutlineBuilder outline = OutlineBuilder.of(tool, far - near);
    List<Point> placed =
        plan.stream().map(point -> new Point(point.z() - near, point.r() - middle)).toList();
    return outline
        .flat(Part.Kind.CUTTING, placed)
        .across("IC", (far - near) / 2, circle)
        .radius("RE", placed.getFirst().z(), placed.getFirst().r())
        .build();
  }

  /** A square shank whose feed runs across it. */
  static Outline external(Tool tool) {
    return external(tool, handless(tool));
  }

  /** A square shank that points straight ahead, alike on both sides. */
  static Outline neutral(Tool tool) {
    return external(tool, true);
  }

  private static Outline external(Tool tool, boolean neutral) {
    double width = tool.approx("B", tool.approx("DMM", 20));
    OutlineBuilder outline = OutlineBuilder.of(tool, tool.approx("LF", 6 * width));
    double tip = outline.length();
    double out = neutral ? width / 2 : tool.approx("WF", 1.25 * width);
    double side = left(tool) ? -1 : 1;
    double circle = circle(tool, 0.5 * width);
    InsertShape shape = shape(tool);
    Point nose = new Point(tip, side * (out - width / 2));
    List<Point> insert =
        InsertPlan.of(
            shape,
            circle,
            tool.approx("KAPR", neutral ? 90 - shape.angle() / 2.0 : 95),
            nose,
            new Point(0, side),
            new Point(-1, 0));
    double head = Math.min(tool.approx("LH", 2.2 * circle), 0.5 * tip);
    return outline
        .flat(Part.Kind.SHANK, rectangle(0, tip - head, -width / 2, width / 2))
        .flat(
            Part.Kind.BODY,
            neutral ? pointedHead(tip, head, width, insert) : head(tip, head, width, nose, insert))
        .flat(Part.Kind.CUTTING, insert)
        .along("LF", 0, tip)
        .across("B", (tip - head) * 0.4, width)
        .radius("RE", nose.z(), nose.r())
        .build();
  }

  private static List<Point> rectangle(double from, double to, double low, double high) {
    return List.of(
        new Point(from, low), new Point(to, low), new Point(to, high), new Point(from, high));
  }

  /** The head reaches to the middle of the insert. */
  private static List<Point> head(
      double tip, double head, double width, Point nose, List<Point> insert) {
    double z = insert.stream().mapToDouble(Point::z).average().orElse(tip);
    double side = Math.signum(nose.r() == 0 ? 1 : nose.r());
    double middle = insert.stream().mapToDouble(Point::r).average().orElse(0);
    return List.of(
        new Point(tip - head, -side * width / 2),
        new Point(z, -side * width / 2 * 0.8),
        new Point(z, middle),
        new Point(tip - head * 0.7, Math.max(Math.abs(middle), width / 2) * side),
        new Point(tip - head, side * width / 2));
  }

  /** The head of a neutral holder narrows alike on both sides to the width of the insert. */
  private static List<Point> pointedHead(
      double tip, double head, double width, List<Point> insert) {
    double z = insert.stream().mapToDouble(Point::z).average().orElse(tip);
    double half = insert.stream().mapToDouble(Point::r).max().orElse(0);
    double back = Math.min(tip - head, z - width / 4);
    return List.of(
        new Point(back, -width / 2),
        new Point(z, -half),
        new Point(z, half),
        new Point(back, width / 2));
  }

  /** A round bar whose feed runs along it. */
  static Outline internal(Tool tool) {
    double bar = tool.approx("DMM", 20);
    OutlineBuilder outline = OutlineBuilder.of(tool, tool.approx("LF", 6 * bar));
    double tip = outline.length();
    double side = left(tool) ? -1 : 1;
    Point nose = new Point(tip, side * tool.approx("WF", 0.65 * bar));
    List<Point> insert =
        InsertPlan.of(
            shape(tool),
            circle(tool, 0.35 * bar),
            tool.approx("KAPR", 95),
            nose,
            new Point(1, 0),
            new Point(0, -side));
    double front = insert.stream().mapToDouble(Point::z).average().orElse(tip);
    List<Point> body = new ArrayList<>(rectangle(0, front, -bar / 2, bar / 2));
    return outline
        .flat(Part.Kind.SHANK, body)
        .flat(Part.Kind.CUTTING, insert)
        .along("LF", 0, tip)
        .across("DMM", tip * 0.3, bar)
        .radius("RE", nose.z(), nose.r())
        .build();
  }

  /** A shank with a narrow blade in front: grooving, parting, threading, knurling. */
  static Outline blade(Tool tool) {
    double width = tool.approx("B", tool.approx("DMM", 20));
    OutlineBuilder outline = OutlineBuilder.of(tool, tool.approx("LF", 6 * width));
    double tip = outline.length();
    double side = left(tool) ? -1 : 1;
    double cut = tool.approx("CW", tool.approx("TPX", 0.15 * width));
    double deep = Math.min(tool.approx("CDX", 0.6 * width), 0.4 * tip);
    double middle = side * (tool.approx("WF", width) - width / 2 - cut / 2);
    List<Point> edge =
        tool.has("THFT") || tool.has("TPX")
            ? List.of(
                new Point(tip - cut, middle - cut / 2),
                new Point(tip, middle),
                new Point(tip - cut, middle + cut / 2))
            : rectangle(tip - 2 * cut, tip, middle - cut / 2, middle + cut / 2);
    return outline
        .flat(Part.Kind.SHANK, rectangle(0, tip - deep, -width / 2, width / 2))
        .flat(
            Part.Kind.BODY,
            rectangle(tip - deep, tip - 0.8 * cut, middle - 0.4 * cut, middle + 0.4 * cut))
        .flat(Part.Kind.CUTTING, edge)
        .along("LF", 0, tip)
        .along("CDX", tip - deep, tip)
        .across("B", (tip - deep) * 0.4, width)
        .build();
  }
}
