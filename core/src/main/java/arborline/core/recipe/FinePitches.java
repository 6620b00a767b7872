package arborline.core.recipe;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Usual fine pitches of metric threads, mm. Source: ISO 261, choice for screws (ISO 262). */
final class FinePitches {

  private static final Map<String, List<BigDecimal>> PITCHES =
      Stream.of(
              "M4 0.5",
              "M5 0.5",
              "M6 0.75 0.5",
              "M7 0.75",
              "M8 1 0.75 0.5",
              "M10 1.25 1 0.75",
              "M12 1.5 1.25 1",
              "M14 1.5 1.25 1",
              "M16 1.5 1",
              "M18 2 1.5 1",
              "M20 2 1.5 1",
              "M22 2 1.5 1",
              "M24 2 1.5 1",
              "M27 2 1.5 1",
              "M30 3 2 1.5 1",
              "M33 3 2 1.5",
              "M36 3 2 1.5",
              "M39 3 2 1.5",
              "M42 4 3 2 1.5",
              "M48 4 3 2 1.5")
          .map(line -> line.split(" "))
          .collect(
              Collectors.toMap(
                  cells -> cells[0],
                  cells -> Stream.of(cells).skip(1).map(BigDecimal::new).toList()));

  private FinePitches() {}

  static boolean usual(String thread, String pitch) {
    return pitch.matches("\\d(?:\\.\\d+)?")
        && PITCHES.getOrDefault(thread, List.of()).stream()
            .anyMatch(fine -> fine.compareTo(new BigDecimal(pitch)) == 0);
  }
}
