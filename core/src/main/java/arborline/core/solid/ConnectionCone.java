package arborline.core.solid;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The connection of a holder by its cone and flange. Sources: ISO 7388-1 and -2 (7/24 tapers), ISO
 * 12164-1 (hollow tapers).
 *
 * @param code of the connection, machine side, such as {@code ST-A-40:m}
 * @param gauge distance of the gauge plane from where the contour begins, mm
 * @param atHighEnd true where the cone stands at the end of the contour, false at its beginning
 * @param confidence from 0 to 1
 */
record ConnectionCone(String code, double gauge, boolean atHighEnd, double confidence) {

  private static final double STEEP = 7.0 / 48;
  private static final double HOLLOW = 1 / 9.98 / 2;
  private static final double SLOPE = 4e-4;
  private static final double DIAMETER = 0.06;
  private static final Map<String, Double> STEEP_GAUGES =
      Map.of("30", 31.75, "40", 44.45, "45", 57.15, "50", 69.85, "60", 107.95);

  /** Flange diameters of steep tapers by form and size, mm. */
  private static final Map<String, Double> STEEP_FLANGES =
      Map.ofEntries(
          Map.entry("A-30", 50.0),
          Map.entry("A-40", 63.55),
          Map.entry("A-45", 82.55),
          Map.entry("A-50", 97.5),
          Map.entry("A-60", 155.0),
          Map.entry("J-30", 46.0),
          Map.entry("J-40", 63.0),
          Map.entry("J-45", 85.0),
          Map.entry("J-50", 100.0),
          Map.entry("U-40", 63.5),
          Map.entry("U-50", 98.425));

  private static final List<Integer> HOLLOW_FLANGES =
      List.of(25, 32, 40, 50, 63, 80, 100, 125, 160);

  /** The cone at an end of a contour, with the flange beside it; nothing where none is known. */
  static Optional<ConnectionCone> of(List<Span> spans) {
    Optional<ConnectionCone> high = at(spans, true);
    return high.isPresent() ? high : at(mirrored(spans), false);
  }

  private static List<Span> mirrored(List<Span> spans) {
    double end = spans.isEmpty() ? 0 : spans.getLast().z1();
    return spans.reversed().stream().map(span -> span.mirrored(end)).toList();
  }

  private static Optional<ConnectionCone> at(List<Span> spans, boolean high) {
    double end = spans.isEmpty() ? 0 : spans.getLast().z1();
    double flange = 2 * spans.stream().mapToDouble(Span::largest).max().orElse(0);
    for (int i = spans.size() - 1; i >= Math.max(0, spans.size() - 6); i--) {
      Span span = spans.get(i);
      double slope =
          span.straight() && span.length() > 0 ? (span.r0() - span.r1()) / span.length() : 0;
      if (span.length() < 8) {
        continue;
      }
      Optional<ConnectionCone> found = Optional.empty();
      if (Math.abs(slope - STEEP) < SLOPE) {
        found = steep(span, flange);
      } else if (Math.abs(slope - HOLLOW) < SLOPE) {
        found = hollow(span, flange);
      }
      if (found.isPresent()) {
        ConnectionCone cone = found.get();
        return Optional.of(
            new ConnectionCone(
                cone.code(), high ? cone.gauge() : end - cone.gauge(), high, cone.confidence()));
      }
    }
    return Optional.empty();
  }

  /** By the diameter that the cone has where it meets the flange, at the gauge plane or behind. */
  private static Optional<ConnectionCone> steep(Span cone, double flange) {
    return STEEP_GAUGES.entrySet().stream()
        .filter(size -> Math.abs(2 * cone.r0() - size.getValue()) < 1.2)
        .findFirst()
        .map(size -> {
          double gauge = cone.z0() + (cone.r0() - size.getValue() / 2) / STEEP;
          Optional<String> form =
              STEEP_FLANGES.entrySet().stream()
                  .filter(entry -> entry.getKey().endsWith("-" + size.getKey()))
                  .filter(entry -> Math.abs(entry.getValue() - flange) < DIAMETER / 2)
                  .map(Map.Entry::getKey)
                  .findFirst();
          return new ConnectionCone(
              "ST-" + form.orElse("A-" + size.getKey()) + ":m",
              gauge,
              true,
              form.isPresent() ? 0.9 : 0.5);
        });
  }

  private static Optional<ConnectionCone> hollow(Span cone, double flange) {
    return HOLLOW_FLANGES.stream()
        .filter(size -> Math.abs(size - flange) < DIAMETER)
        .filter(size -> 2 * cone.r0() > 0.68 * size && 2 * cone.r0() < 0.82 * size)
        .findFirst()
        .map(size -> new ConnectionCone("HT-A-" + size + ":m", cone.z0(), true, 0.8));
  }
}
