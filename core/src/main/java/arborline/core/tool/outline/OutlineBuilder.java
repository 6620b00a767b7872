package arborline.core.tool.outline;

import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Builds the outline of a round tool from shank to tip, estimating what is not stated. */
public final class OutlineBuilder {

  private static final int ARC_STEPS = 10;

  private final Tool tool;
  private final double length;
  private final List<Part> parts = new ArrayList<>();
  private final List<Mark> marks = new ArrayList<>();

  private OutlineBuilder(Tool tool, double length) {
    this.tool = tool;
    this.length = length;
  }

  /** Starts an outline; the length is OAL, else LF, else four and a half diameters. */
  public static OutlineBuilder of(Tool tool) {
    double wide = tool.approx("DCX", tool.approx("DC", 1));
    double stated = tool.approx("OAL", tool.approx("LF", 4.5 * wide));
    OutlineBuilder builder =
        new OutlineBuilder(tool, Math.max(stated, tool.approx("APMX", 0) + 0.2 * wide));
    builder.along(builder.lengthSymbol(), 0, builder.length);
    return builder;
  }

  /** The length that the tool states, else the one that its class needs. */
  private String lengthSymbol() {
    Set<String> needed =
        ToolClasses.named(tool.toolClass()).map(known -> known.sheet().required()).orElse(Set.of());
    boolean functional = needed.contains("LF") || tool.has("LF") && !needed.contains("OAL");
    return functional && !tool.has("OAL") ? "LF" : "OAL";
  }

  /** Starts an outline of a length that is known. */
  public static OutlineBuilder of(Tool tool, double length) {
    return new OutlineBuilder(tool, length);
  }

  public double length() {
    return length;
  }

  /** A straight stretch; nothing is added where it has no length. */
  public OutlineBuilder straight(Part.Kind kind, double from, double to, double diameter) {
    if (to > from && diameter > 0) {
      parts.add(
          new Part(kind, List.of(new Point(from, diameter / 2), new Point(to, diameter / 2))));
    }
    return this;
  }

  /** A stretch with a profile of its own. */
  public OutlineBuilder shaped(Part.Kind kind, List<Point> profile) {
    parts.add(new Part(kind, List.copyOf(profile)));
    return this;
  }

  /** A stretch that is no solid of revolution: a polygon in the plane of the drawing. */
  public OutlineBuilder flat(Part.Kind kind, List<Point> polygon) {
    parts.add(new Part(kind, List.copyOf(polygon), true));
    return this;
  }

  /** Shank, then the relieved neck or the flutes, up to where the edges begin. */
  public OutlineBuilder shankAndNeck(double edgesFrom, double diameter) {
    double shank = tool.approx("DMM", diameter);
    double neck = tool.approx("DN", 0);
    double flutes = Math.max(0, length - tool.approx("LCF", length - edgesFrom));
    double neckFrom =
        neck > 0 ? Math.max(0, length - tool.approx("LN", tool.approx("LU", 0))) : flutes;
    double shankTo = Math.min(edgesFrom, Math.min(neckFrom, flutes));
    straight(Part.Kind.SHANK, 0, shankTo, shank);
    if (neck > 0) {
      straight(Part.Kind.NECK, shankTo, edgesFrom, neck);
      across("DN", (shankTo + edgesFrom) / 2, neck);
      along("LN", length - tool.approx("LN", 0), length);
    } else {
      straight(Part.Kind.FLUTES, shankTo, edgesFrom, Math.min(diameter, Math.max(shank, diameter)));
    }
    across("DMM", shankTo * 0.4, shank);
    along("LCF", length - tool.approx("LCF", 0), length);
    along("LU", length - tool.approx("LU", 0), length);
    return this;
  }

  /** Marks a length along the axis, where the tool states it. */
  public OutlineBuilder along(String symbol, double from, double to) {
    return mark(new Mark(symbol, Mark.Kind.ALONG, from, to, 0));
  }

  /** Marks a diameter. */
  public OutlineBuilder across(String symbol, double z, double diameter) {
    return mark(new Mark(symbol, Mark.Kind.ACROSS, z, z, diameter / 2));
  }

  /** Marks a corner radius at a point of the profile. */
  public OutlineBuilder radius(String symbol, double z, double r) {
    return mark(new Mark(symbol, Mark.Kind.RADIUS, z, z, r));
  }

  /** Marks an angle at a point of the profile. */
  public OutlineBuilder angle(String symbol, double z, double r) {
    return mark(new Mark(symbol, Mark.Kind.ANGLE, z, z, r));
  }

  private OutlineBuilder mark(Mark mark) {
    marks.add(mark);
    return this;
  }

  /** Points of a quarter arc that rounds the corner at (z, r) with the given radius. */
  public static List<Point> corner(double z, double r, double radius) {
    List<Point> points = new ArrayList<>();
    for (int step = 0; step <= ARC_STEPS; step++) {
      double turn = Math.PI / 2 * step / ARC_STEPS;
      points.add(
          new Point(
              z - radius + radius * Math.sin(turn),
              Math.max(0, r - radius + radius * Math.cos(turn))));
    }
    return points;
  }

  public Outline build() {
    double widest =
        parts.stream()
            .flatMap(part -> part.profile().stream())
            .mapToDouble(point -> Math.abs(point.r()))
            .max()
            .orElse(0);
    List<Mark> stated =
        marks.stream()
            .filter(mark -> mark.z2() > mark.z1() || !mark.kind().equals(Mark.Kind.ALONG))
            .toList();
    return new Outline(length, 2 * widest, List.copyOf(parts), stated);
  }
}
