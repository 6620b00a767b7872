package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

class StepSolidTest {

  private static final Instant NOON = Instant.parse("2026-11-23T12:00:00Z");

  /** A flange, a cone, a cylinder, a shoulder inwards and a pointed tip. */
  private static final List<Point> STACK =
      List.of(
          new Point(0, 31.5),
          new Point(27, 31.5),
          new Point(27, 22),
          new Point(87, 12),
          new Point(87, 5),
          new Point(120, 5),
          new Point(127, 0));

  private static String step(List<Point> profile) {
    StringBuilder file = new StringBuilder();
    try {
      StepSolid.write(file, "H-1 + EM-10", profile, NOON);
    } catch (IOException impossible) {
      throw new IllegalStateException(impossible);
    }
    return file.toString();
  }

  /** Read and found to be one closed solid of the right volume by an independent reader, too. */
  @Test
  void theSolidIsTheOneThatWasChecked() throws IOException {
    try (var checked = StepSolidTest.class.getResourceAsStream("/solids/stack.step")) {
      assertEquals(new String(checked.readAllBytes(), StandardCharsets.US_ASCII), step(STACK));
    }
  }

  @Test
  void everyReferenceLeadsSomewhere() {
    String file = step(STACK);
    Set<String> defined = new HashSet<>();
    Matcher lines = Pattern.compile("(?m)^(#\\d+)=").matcher(file);
    while (lines.find()) {
      assertTrue(defined.add(lines.group(1)));
    }
    Matcher uses = Pattern.compile("#\\d+").matcher(file);
    while (uses.find()) {
      assertTrue(defined.contains(uses.group()), uses.group());
    }
  }

  /** In a closed shell every edge is walked once in each direction. */
  @Test
  void everyEdgeIsSharedByTwoFaces() {
    Map<String, Set<String>> walked = new HashMap<>();
    Matcher edges =
        Pattern.compile("ORIENTED_EDGE\\('',\\*,\\*,(#\\d+),\\.([TF])\\.\\)").matcher(step(STACK));
    while (edges.find()) {
      assertTrue(
          walked.computeIfAbsent(edges.group(1), key -> new HashSet<>()).add(edges.group(2)));
    }
    assertTrue(walked.values().stream().allMatch(ways -> ways.size() == 2));
  }

  @Test
  void pointsThatRepeatOrLieOnALineMakeNoFaces() {
    String plain = step(List.of(new Point(0, 5), new Point(10, 5)));
    String doubled =
        step(List.of(new Point(0, 5), new Point(4, 5), new Point(4, 5), new Point(10, 5)));
    assertEquals(plain, doubled);
    assertEquals(3, plain.split("ADVANCED_FACE", -1).length - 1);
  }

  @Test
  void nothingIsNoSolid() {
    assertThrows(IllegalArgumentException.class, () -> step(List.of()));
    assertThrows(IllegalArgumentException.class, () -> step(List.of(new Point(0, 0))));
  }
}
