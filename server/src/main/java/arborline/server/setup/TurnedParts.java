package arborline.server.setup;

import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;

/** Turned parts of a readable table as solids: {@code code TAB z r; z r; ...}, mm. */
final class TurnedParts {

  private TurnedParts() {}

  /**
   * A part.
   *
   * @param half profile from the machine end
   */
  record TurnedPart(String code, List<Point> half) {

    byte[] solid() throws IOException {
      StringBuilder file = new StringBuilder();
      StepSolid.write(file, code, half, Instant.parse("2026-11-02T08:00:00Z"));
      return file.toString().getBytes(StandardCharsets.US_ASCII);
    }
  }

  static List<TurnedPart> read(Path table) throws IOException {
    return Files.readAllLines(table).stream()
        .filter(line -> !line.startsWith("#") && !line.isBlank())
        .map(TurnedParts::part)
        .toList();
  }

  private static TurnedPart part(String line) {
    String[] columns = line.split("\t");
    List<Point> half =
        Arrays.stream(columns[1].split(";"))
            .map(point -> point.strip().split(" "))
            .map(pair -> new Point(Double.parseDouble(pair[0]), Double.parseDouble(pair[1])))
            .toList();
    return new TurnedPart(columns[0], half);
  }
}
