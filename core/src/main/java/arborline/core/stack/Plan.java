package arborline.core.stack;

import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/** Flat parts of a tool that is no solid of revolution, seen onto its rake face. */
final class Plan {

  private Plan() {}

  /** Area of a polygon, mm2, by the shoelace formula (plane geometry). */
  static double area(List<Point> polygon) {
    double twice = 0;
    for (int i = 0; i < polygon.size(); i++) {
      Point one = polygon.get(i);
      Point next = polygon.get((i + 1) % polygon.size());
      twice += one.z() * next.r() - next.z() * one.r();
    }
    return Math.abs(twice) / 2;
  }

  /** What of the parts lies beyond a length, moved along the axis. */
  static List<Part> beyond(List<Part> parts, double length, double moved) {
    List<Part> rest = new ArrayList<>();
    for (Part part : parts) {
      List<Point> polygon =
          cut(part.profile(), length).stream()
              .map(point -> new Point(point.z() + moved, point.r()))
              .toList();
      if (polygon.size() > 2) {
        rest.add(new Part(part.kind(), polygon, true));
      }
    }
    return rest;
  }

  /** Clips a polygon at a line across the axis. */
  private static List<Point> cut(List<Point> polygon, double length) {
    List<Point> rest = new ArrayList<>();
    for (int i = 0; i < polygon.size(); i++) {
      Point one = polygon.get(i);
      Point next = polygon.get((i + 1) % polygon.size());
      if (one.z() >= length) {
        rest.add(one);
      }
      if (one.z() < length != next.z() < length) {
        double share = (length - one.z()) / (next.z() - one.z());
        rest.add(new Point(length, one.r() + share * (next.r() - one.r())));
      }
    }
    return rest;
  }
}
