package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.solid.ProfileElement.Arc;
import arborline.core.solid.ProfileElement.Corner;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts with flats, squares, hexagons, bumps, holes and several bodies, built by a kernel. */
class SolidShapesTest {

  private static final double NEAR = 0.001;

  static byte[] file(String name) throws IOException {
    try (InputStream file = SolidShapesTest.class.getResourceAsStream("/solids/" + name)) {
      return file.readAllBytes();
    }
  }

  private static SolidReading read(String name) throws IOException {
    return SolidReading.read(file(name + ".step"));
  }

  private static TurnedShape shape(String name) throws IOException {
    return read(name).turned().orElseThrow();
  }

  private static void assertContour(List<ProfileElement> wanted, String name) throws IOException {
    List<ProfileElement> profile = shape(name).profile();
    assertTrue(
        ContourDistance.of(wanted, ContourDistance.points(profile)) < NEAR,
        () -> "read: " + profile);
    assertTrue(
        ContourDistance.of(profile, ContourDistance.points(wanted)) < NEAR,
        () -> "read: " + profile);
  }

  @ParameterizedTest
  @CsvSource({
    "flat-tilted, 100, 20",
    "square-shank, 100, 12",
    "hollow, 60, 40",
    "hex, 65, 16",
    "bump, 60, 26",
    "eccentric, 80, 24",
    "fillet, 80, 20",
    "ball, 55, 10",
    "cross-hole, 60, 20",
    "bead, 50, 26",
    "tube-in-holder, 60, 40"
  })
  void lengthAndDiameter(String name, double length, double diameter) throws IOException {
    TurnedShape shape = shape(name);
    assertEquals(length, shape.length(), NEAR);
    assertEquals(diameter, shape.diameter(), NEAR);
  }

  @Test
  void aHeadThatIsWiderThanTheBarBehindItCuts() throws IOException {
    TurnedShape bar =
        new Rods()
            .with(
                List.of(
                    new Point(0, 12.5),
                    new Point(49, 12.5),
                    new Point(49, 10),
                    new Point(136.4, 10),
                    new Point(136.4, 15),
                    new Point(140, 14.1)),
                0)
            .read()
            .turned()
            .orElseThrow();
    assertEquals(14.1, bar.profile().getFirst().endR(), NEAR);
    assertEquals(12.5, bar.profile().getLast().endR(), NEAR);
  }

  @Test
  void aFlatOnTheShankLeavesTheContour() throws IOException {
    assertContour(
        List.of(new Corner(0, 9), new Corner(1, 10), new Corner(99, 10), new Corner(100, 9)),
        "flat-tilted");
    Flats flat = shape("flat-tilted").flats().getFirst();
    assertEquals(1, flat.count());
    assertEquals(8, flat.distance(), NEAR);
    assertEquals(55, flat.from(), NEAR);
    assertEquals(85, flat.to(), NEAR);
  }

  @Test
  void cornersOfASquareReachFartherThanTheShank() throws IOException {
    double corner = 3.5 * Math.sqrt(2);
    assertContour(
        List.of(
            new Corner(0, 4.6),
            new Corner(5, 6),
            new Corner(28, 6),
            new Corner(30, 4.5),
            new Corner(80, 4.5),
            new Corner(80, corner),
            new Corner(100, corner)),
        "square-shank");
    Flats square = shape("square-shank").flats().getFirst();
    assertEquals(4, square.count());
    assertEquals(3.5, square.distance(), NEAR);
  }

  @Test
  void cornersOfASquareThatLieWithinTheShank() throws IOException {
    double corner = 3.1 * Math.sqrt(2);
    assertEquals(2 * 6, shape("square-shank-round").diameter(), NEAR);
    List<ProfileElement> profile = shape("square-shank-round").profile();
    assertEquals(corner, profile.getLast().endR(), NEAR);
  }

  @Test
  void cornersOfAHexagon() throws IOException {
    assertContour(
        List.of(
            new Corner(0, 6),
            new Corner(30, 6),
            new Corner(30, 8),
            new Corner(45, 8),
            new Corner(45, 5),
            new Corner(65, 5)),
        "hex");
    assertEquals(6, shape("hex").flats().getFirst().count());
  }

  @Test
  void aBallBesideTheAxisStandsOut() throws IOException {
    double ends = Math.sqrt(6 * 6 - 3 * 3);
    assertContour(
        List.of(
            new Corner(0, 10),
            new Corner(30 - ends, 10),
            new Arc(30 - ends, 10, 30, 13, 6),
            new Arc(30, 13, 30 + ends, 10, 6),
            new Corner(60, 10)),
        "bump");
  }

  @Test
  void anEccentricPartReachesByItsOffsetFarther() throws IOException {
    assertContour(
        List.of(new Corner(0, 12), new Corner(20, 12), new Corner(20, 10), new Corner(80, 10)),
        "eccentric");
  }

  @Test
  void aHollowArcIsFollowedByCorners() throws IOException {
    List<ProfileElement> profile = shape("fillet").profile();
    assertTrue(profile.stream().noneMatch(Arc.class::isInstance));
    for (ProfileElement corner : profile) {
      if (corner.endZ() > 30.001 && corner.endZ() < 31.999) {
        assertEquals(2, Math.hypot(corner.endZ() - 32, corner.endR() - 8), 1e-6);
      }
    }
  }

  @Test
  void aBeadIsCutInTwoArcs() throws IOException {
    assertContour(
        List.of(
            new Corner(0, 8),
            new Corner(20, 8),
            new Arc(20, 8, 25, 13, 5),
            new Arc(25, 13, 30, 8, 5),
            new Corner(50, 8)),
        "bead");
  }

  @Test
  void bores() throws IOException {
    assertEquals(16, shape("hollow").bore().orElseThrow(), NEAR);
    assertEquals(16, shape("hollow").boreMachineEnd().orElseThrow(), NEAR);
    TurnedShape crossed = shape("cross-hole");
    assertEquals(8, Math.max(crossed.bore().orElse(0), crossed.boreMachineEnd().orElse(0)), NEAR);
    assertTrue(crossed.bore().isEmpty() || crossed.boreMachineEnd().isEmpty());
  }

  @Test
  void aTubeWithinAHolderIsNamedAndChangesNothing() throws IOException {
    SolidReading read = read("tube-in-holder");
    assertEquals(2, read.bodies());
    assertContour(List.of(new Corner(0, 20), new Corner(60, 20)), "tube-in-holder");
    assertEquals(
        List.of("a body of 8 x 58 mm lies within another one, as a tube for coolant does"),
        read.findings().stream()
            .filter(finding -> finding.code().equals("body-within"))
            .map(SolidFinding::message)
            .toList());
  }

  @Test
  void twoShaftsSideBySideAreNotTurnedAroundOneAxis() throws IOException {
    SolidReading read = read("side-by-side");
    assertTrue(read.turned().isEmpty());
    assertEquals(2, read.bodies());
    assertEquals(2, read.parts().stream().filter(part -> part.turned().isPresent()).count());
  }

  @Test
  void aTiltedBoxHasItsOwnSizes() throws IOException {
    SolidReading read = read("box-tilted");
    assertTrue(read.turned().isEmpty());
    var own = read.ownBox().orElseThrow();
    assertEquals(
        List.of(20L, 30L, 40L),
        java.util.stream.Stream.of(own.x(), own.y(), own.z()).map(Math::round).sorted().toList());
    assertEquals(46.401, read.box().orElseThrow().x(), NEAR);
  }

  @Test
  void aFreeContourIsFollowed() throws IOException {
    TurnedShape shape = shape("splinebody");
    assertEquals(50, shape.length(), NEAR);
    assertEquals(8, shape.profile().getFirst().endR(), NEAR);
    assertEquals(5, shape.profile().getLast().endR(), NEAR);
  }

  @Test
  void metresAreOnlyAnotherUnit() throws IOException {
    String metres =
        new String(file("hex.step"), StandardCharsets.US_ASCII)
            .replace("SI_UNIT(.MILLI.,.METRE.)", "SI_UNIT($,.METRE.)");
    SolidReading read = SolidReading.read(metres.getBytes(StandardCharsets.US_ASCII));
    assertEquals("m", read.unit());
    assertEquals(65_000, read.turned().orElseThrow().length(), 1);
  }

  @Test
  void facesThatLookTheWrongWayDoNotTurnHolesInsideOut() throws IOException {
    String turned =
        new String(file("hollow.step"), StandardCharsets.US_ASCII)
            .replaceAll("(ADVANCED_FACE\\('',\\([^)]*\\),#\\d+,)\\.T\\.", "$1.X.")
            .replaceAll("(ADVANCED_FACE\\('',\\([^)]*\\),#\\d+,)\\.F\\.", "$1.T.")
            .replace(".X.", ".F.");
    TurnedShape shape =
        SolidReading.read(turned.getBytes(StandardCharsets.US_ASCII)).turned().orElseThrow();
    assertEquals(16, shape.bore().orElseThrow(), NEAR);
  }
}
