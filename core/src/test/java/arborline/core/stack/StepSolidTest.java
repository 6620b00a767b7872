package arborline.core.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
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
    assertWalkedTwice(step(STACK));
  }

  private static List<Point> mill(double radius, double corner) {
    List<Point> profile = new ArrayList<>(List.of(new Point(0, radius)));
    profile.addAll(OutlineBuilder.corner(50, radius, corner));
    return profile;
  }

  /** What lies on a line between two points, or twice at one place, makes no face of its own. */
  @Test
  void pointsOnALineMakeOneFace() {
    List<Point> simple = List.of(new Point(0, 31.5), new Point(27, 31.5), new Point(87, 12));
    List<Point> dense =
        List.of(
            new Point(0, 31.5),
            new Point(0, 31.5),
            new Point(9, 31.5),
            new Point(27, 31.5),
            new Point(47, 25),
            new Point(67, 18.5),
            new Point(87, 12),
            new Point(87, 6));
    assertEquals(step(simple), step(dense));
  }

  /** A cone that comes back on its own line is a groove, not a line. */
  @Test
  void whatTurnsBackIsNoLine() {
    List<Point> back =
        List.of(new Point(0, 10), new Point(0, 20), new Point(0, 15), new Point(9, 15));
    assertFalse(step(back).equals(step(List.of(new Point(0, 15), new Point(9, 15)))));
  }

  /** A ball is one face of a sphere: plane, cylinder, sphere. */
  @Test
  void aBallIsASphere() {
    String file = step(mill(5, 5));
    assertEquals(3, file.split("ADVANCED_FACE", -1).length - 1);
    assertTrue(file.contains("SPHERICAL_SURFACE('',"), file);
    assertTrue(Pattern.compile("SPHERICAL_SURFACE\\('',#\\d+,5\\.\\)").matcher(file).find());
    assertFalse(file.contains("CONICAL_SURFACE"));
    assertWalkedTwice(file);
  }

  /** A corner radius of 1 on a cutter of 10 mm is a torus of 4 and 1 mm. */
  @Test
  void aCornerIsATorus() {
    String file = step(mill(5, 1));
    assertTrue(
        Pattern.compile("TOROIDAL_SURFACE\\('',#\\d+,4\\.,1\\.\\)").matcher(file).find(), file);
    assertFalse(file.contains("CONICAL_SURFACE"));
    assertWalkedTwice(file);
  }

  /** A corner of 4 mm on a cutter of 10 mm reaches over the axis: a torus that meets itself. */
  @Test
  void aLargeCornerIsTheOuterPartOfATorusThatMeetsItself() {
    String file = step(mill(5, 4));
    assertTrue(
        Pattern.compile("DEGENERATE_TOROIDAL_SURFACE\\('',#\\d+,1\\.,4\\.,\\.T\\.\\)")
            .matcher(file)
            .find(),
        file);
  }

  /** The centre of a barrel's flank lies beyond the axis: a circle of 85 mm turned around Z. */
  @Test
  void aBarrelIsACircleTurnedAroundTheAxis() throws IOException {
    List<Point> profile = new ArrayList<>();
    profile.add(new Point(0, 4));
    for (int step = 0; step <= 20; step++) {
      double turn = Math.toRadians(8 - 0.8 * step);
      profile.add(new Point(30 - 85 * Math.sin(turn), -79 + 85 * Math.cos(turn)));
    }
    String file = step(profile);
    Matcher surface =
        Pattern.compile("#(\\d+)=SURFACE_OF_REVOLUTION\\('',#(\\d+),#\\d+\\)").matcher(file);
    assertTrue(surface.find(), file);
    assertTrue(
        Pattern.compile("#" + surface.group(2) + "=CIRCLE\\('',#\\d+,85\\.\\)")
            .matcher(file)
            .find());
    assertTrue(
        Pattern.compile("ADVANCED_FACE\\('',\\(#\\d+\\),#" + surface.group(1) + ",\\.T\\.\\)")
            .matcher(file)
            .find());
    assertWalkedTwice(file);
  }

  /** The flank of R 100 between shank and corner is one face, and the corner another. */
  @Test
  void aBarrelMillHasNoInscribedCones() throws IOException {
    Cutter barrel =
        Cutter.of(
                Sample.tool(
                    "CLASS=end-mill-barrel DC=12 PRFRAD=100 RE=1 APMX=20 DMM=12 OAL=90 NOF=4"))
            .orElseThrow();
    String file = step(new Stack("", List.of(), barrel, 60).shape().spans().getFirst().profile());
    assertTrue(Pattern.compile("=CIRCLE\\('',#\\d+,100\\.\\)").matcher(file).find(), file);
    assertEquals(2, file.split("=SURFACE_OF_REVOLUTION", -1).length);
    assertEquals(2, file.split("TOROIDAL_SURFACE", -1).length);
    assertFalse(file.contains("CONICAL_SURFACE"), file);
    assertWalkedTwice(file);
  }

  /** In a hollow the material lies outside of the circle. */
  @Test
  void aHollowLooksInwards() {
    List<Point> profile = new ArrayList<>();
    for (int step = 0; step <= 12; step++) {
      double turn = Math.PI / 2 * step / 12;
      profile.add(new Point(10 - 3 * Math.cos(turn), 8 - 3 * Math.sin(turn)));
    }
    profile.add(new Point(20, 5));
    Matcher face =
        Pattern.compile("ADVANCED_FACE\\('',\\(#\\d+\\),(#\\d+),\\.F\\.\\)").matcher(step(profile));
    assertTrue(face.find());
  }

  private static void assertWalkedTwice(String file) {
    Map<String, Set<String>> walked = new HashMap<>();
    Matcher edges =
        Pattern.compile("ORIENTED_EDGE\\('',\\*,\\*,(#\\d+),\\.([TF])\\.\\)").matcher(file);
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
