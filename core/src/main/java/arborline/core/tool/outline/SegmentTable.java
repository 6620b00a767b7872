package arborline.core.tool.outline;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A cutter's own half profile as people write it: points {@code z r} from the tip, parted by
 * semicolons; {@code R5} behind a point makes the way to it an arc that bulges outwards, {@code
 * R-5} one that is hollow.
 *
 * @param points corners with the arc that leads to each
 * @param fault what is wrong with the table
 */
public record SegmentTable(List<Corner> points, Optional<String> fault) {

  /** The property that holds such a table. */
  public static final String SYMBOL = "PROFILE";

  private static final Pattern CORNER =
      Pattern.compile("(-?\\d+(?:\\.\\d+)?)\\s+(-?\\d+(?:\\.\\d+)?)(?:\\s+R(-?\\d+(?:\\.\\d+)?))?");
  private static final int ARC_STEPS = 16;
  private static final double NEAR = 1e-6;

  /**
   * A corner of the profile.
   *
   * @param bend radius of the arc that leads here, 0 for a line, negative where it is hollow
   */
  public record Corner(double z, double r, double bend) {}

  /** Reads a table; what is wrong is said by its line. */
  public static SegmentTable read(String text) {
    List<Corner> corners = new ArrayList<>();
    int line = 0;
    for (String part : text.split(";")) {
      line++;
      Matcher numbers = CORNER.matcher(part.strip());
      if (!numbers.matches()) {
        return wrong(corners, line, "'%s' is not 'z r' or 'z r Rradius'".formatted(part.strip()));
      }
      String bend = numbers.group(3);
      corners.add(
          new Corner(
              Double.parseDouble(numbers.group(1)),
              Double.parseDouble(numbers.group(2)),
              bend == null ? 0 : Double.parseDouble(bend)));
    }
    return checked(corners);
  }

  private static SegmentTable wrong(List<Corner> corners, int line, String why) {
    return new SegmentTable(List.copyOf(corners), Optional.of("point %d: %s".formatted(line, why)));
  }

  private static SegmentTable checked(List<Corner> corners) {
    if (corners.size() < 2) {
      return wrong(corners, corners.size(), "a profile needs two points at least");
    }
    if (Math.abs(corners.getFirst().r()) > NEAR) {
      return wrong(corners, 1, "the profile must start on the axis (r = 0)");
    }
    for (int i = 0; i < corners.size(); i++) {
      Corner corner = corners.get(i);
      if (corner.r() < 0) {
        return wrong(corners, i + 1, "the profile crosses the axis");
      }
      if (i == 0) {
        continue;
      }
      double chord =
          Math.hypot(corner.z() - corners.get(i - 1).z(), corner.r() - corners.get(i - 1).r());
      if (chord < NEAR) {
        return wrong(corners, i + 1, "it is the point before once more");
      }
      if (corner.bend() != 0 && chord > 2 * Math.abs(corner.bend()) + NEAR) {
        return wrong(corners, i + 1, "radius too small to reach from the point before");
      }
    }
    SegmentTable table = new SegmentTable(List.copyOf(corners), Optional.empty());
    List<Point> drawn = table.drawn();
    for (Point point : drawn) {
      if (point.r() < -NEAR) {
        return wrong(corners, corners.size(), "an arc crosses the axis");
      }
    }
    return crossing(drawn)
        ? new SegmentTable(table.points, Optional.of("the profile crosses itself"))
        : table;
  }

  private static boolean crossing(List<Point> line) {
    for (int i = 0; i + 1 < line.size(); i++) {
      for (int j = i + 2; j + 1 < line.size(); j++) {
        if (cross(line.get(i), line.get(i + 1), line.get(j), line.get(j + 1))) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean cross(Point a, Point b, Point c, Point d) {
    return side(a, b, c) * side(a, b, d) < -NEAR * NEAR
        && side(c, d, a) * side(c, d, b) < -NEAR * NEAR;
  }

  private static double side(Point a, Point b, Point p) {
    return (b.z() - a.z()) * (p.r() - a.r()) - (b.r() - a.r()) * (p.z() - a.z());
  }

  /** The profile as a chain of points from the tip, arcs in small steps. */
  public List<Point> drawn() {
    List<Point> drawn = new ArrayList<>();
    for (int i = 0; i < points.size(); i++) {
      Corner to = points.get(i);
      if (i > 0 && to.bend() != 0) {
        arc(points.get(i - 1), to, drawn);
      }
      drawn.add(new Point(to.z(), to.r()));
    }
    return drawn;
  }

  private static void arc(Corner from, Corner to, List<Point> drawn) {
    double dz = to.z() - from.z();
    double dr = to.r() - from.r();
    double chord = Math.hypot(dz, dr);
    double radius = Math.max(Math.abs(to.bend()), chord / 2);
    double rise = Math.sqrt(Math.max(0, radius * radius - chord * chord / 4));
    double sign = to.bend() > 0 ? 1 : -1;
    double centreZ = (from.z() + to.z()) / 2 + sign * rise * dr / chord;
    double centreR = (from.r() + to.r()) / 2 - sign * rise * dz / chord;
    double begin = Math.atan2(from.r() - centreR, from.z() - centreZ);
    double end = Math.atan2(to.r() - centreR, to.z() - centreZ);
    double turn = end - begin;
    // Outwards the arc runs clockwise, hollow it runs the other way, half a circle too.
    if (to.bend() > 0 && turn > 0) {
      turn -= 2 * Math.PI;
    } else if (to.bend() < 0 && turn < 0) {
      turn += 2 * Math.PI;
    }
    for (int step = 1; step < ARC_STEPS; step++) {
      double angle = begin + turn * step / ARC_STEPS;
      drawn.add(new Point(centreZ + radius * Math.cos(angle), centreR + radius * Math.sin(angle)));
    }
  }
}
