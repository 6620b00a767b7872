package arborline.core.stack;

import arborline.core.connection.Connection;
import arborline.core.tool.outline.Point;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What of a stack disappears in the spindle: an estimate by its connection, as plain taper or
 * cylinder without grooves, teeth and retention knob.
 *
 * @param length from its end to the gauge line, mm
 * @param from diameter at its end, mm
 * @param to diameter at the gauge line, mm
 * @param solid share of its volume that bores and the drawbar's thread leave
 */
public record BehindGauge(double length, double from, double to, double solid) {

  static final BehindGauge NONE = new BehindGauge(0, 0, 0, 0);
  private static final double STEEP = 7.0 / 24;
  private static final double STEEP_SOLID = 0.88;
  private static final double HOLLOW_SOLID = 0.5;

  /** Gauge diameter and length of 7/24 tapers, mm. Source: ISO 7388-1, lengths rounded. */
  private static final Map<String, double[]> STEEP_SIZES =
      Map.of(
          "30", new double[] {31.75, 48},
          "40", new double[] {44.45, 67},
          "45", new double[] {57.15, 83},
          "50", new double[] {69.85, 102},
          "60", new double[] {107.95, 162});

  private static final double RACK_SOLID = 0.9;

  /** Length of rack-toothed turret shanks by their diameter, mm. Source: ISO 10889-1. */
  private static final Map<String, Integer> RACK_LENGTHS =
      Map.of("16", 32, "20", 40, "25", 48, "30", 55, "40", 63, "50", 78, "60", 94);

  /** What lies behind the gauge line; nothing where the connection has no taper that we know. */
  static BehindGauge of(String machineSide) {
    Optional<Connection> read = Connection.read(machineSide).connection();
    return read.filter(side -> !side.socket()).map(BehindGauge::of).orElse(NONE);
  }

  private static BehindGauge of(Connection shank) {
    return switch (shank.family().id()) {
      case "ST" -> steep(STEEP_SIZES.get(shank.size()));
      case "HT" -> hollow(Double.parseDouble(shank.size()), 0.5, 0.76, 1.0 / 9.98);
      case "PT" -> hollow(Double.parseDouble(shank.size()), 0.6, 0.72, 1.0 / 20);
      case "VD" -> rackToothed(shank.size());
      default -> NONE;
    };
  }

  private static BehindGauge steep(double[] size) {
    return size == null
        ? NONE
        : new BehindGauge(size[1], size[0] - STEEP * size[1], size[0], STEEP_SOLID);
  }

  /** Hollow shanks in shares of the flange diameter: A63 has a cone of 48 mm, 32 mm long. */
  private static BehindGauge hollow(double flange, double share, double wide, double taper) {
    double length = share * flange;
    double gauge = wide * flange;
    return new BehindGauge(length, gauge - taper * length, gauge, HOLLOW_SOLID);
  }

  private static BehindGauge rackToothed(String size) {
    Integer length = RACK_LENGTHS.get(size);
    double diameter = Double.parseDouble(size);
    return length == null ? NONE : new BehindGauge(length, diameter, diameter, RACK_SOLID);
  }

  /** Half profile with z below zero; empty where there is nothing. */
  List<Point> profile() {
    return length == 0 ? List.of() : List.of(new Point(-length, from / 2), new Point(0, to / 2));
  }

  /** kg. */
  double mass(Material material) {
    return solid * body().volume() * 1e-9 * material.density();
  }

  /** Centre of mass, mm from the gauge line; below zero. */
  double centre() {
    return body().centre() - length;
  }

  private Body body() {
    return new Body(length, from, to);
  }
}
