package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.solid.ProfileElement.Corner;
import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Cutters whose form is a large arc with its middle beyond the axis: barrels and lenses. */
class FormArcTest {

  private static final double RADIUS = 150;
  private static final double MIDDLE_Z = 56;
  private static final double MIDDLE_R = -142;

  private static double r(double z) {
    return MIDDLE_R + Math.sqrt(RADIUS * RADIUS - (z - MIDDLE_Z) * (z - MIDDLE_Z));
  }

  /** A shank of 16 mm, and from 40 to 66 mm the form: 16 mm where it is widest. */
  private static String barrel() throws IOException {
    List<Point> half = new ArrayList<>(List.of(new Point(0, 8), new Point(40, 8)));
    for (int i = 0; i <= 26; i++) {
      half.add(new Point(40 + i, r(40 + i)));
    }
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "barrel", half, Instant.EPOCH);
    return file.toString();
  }

  private static void assertBarrel(String file) throws IOException {
    SolidReading read = SolidReading.read(file.getBytes(StandardCharsets.US_ASCII));
    TurnedShape shape = read.turned().orElseThrow();
    assertEquals(66, shape.length(), 1e-3);
    assertEquals(16, shape.diameter(), 1e-3);
    assertEquals(
        List.of(
            new Corner(0, r(66)),
            new ProfileElement.Arc(0, r(66), 26, r(40), RADIUS),
            new Corner(26, 8),
            new Corner(66, 8)),
        rounded(shape.profile()));
  }

  /** To the micrometre, with the numbers that they should be where they are these. */
  private static List<ProfileElement> rounded(List<ProfileElement> profile) {
    return profile.stream()
        .map(element ->
            element instanceof ProfileElement.Arc arc
                ? new ProfileElement.Arc(
                    near(arc.z1()),
                    near(arc.r1()),
                    near(arc.z2()),
                    near(arc.r2()),
                    near(arc.radius()))
                : new Corner(near(element.endZ()), near(element.endR())))
        .map(ProfileElement.class::cast)
        .toList();
  }

  private static double near(double value) {
    for (double wanted : new double[] {0, 8, 26, 66, RADIUS, r(66), r(40)}) {
      if (Math.abs(value - wanted) < 1e-3) {
        return wanted;
      }
    }
    return value;
  }

  @Test
  void aLargeArcTurnedAroundTheAxisStaysAnArc() throws IOException {
    String file = barrel();
    assertTrue(file.contains("SURFACE_OF_REVOLUTION"));
    assertBarrel(file);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "TOROIDAL_SURFACE('',#900001,142.,150.)",
        "DEGENERATE_TOROIDAL_SURFACE('',#900001,142.,150.,.F.)"
      })
  void theInnerPartOfATorusThatMeetsItselfIsRead(String surface) throws IOException {
    assertBarrel(
        barrel()
            .replaceFirst("SURFACE_OF_REVOLUTION\\('',#\\d+,#\\d+\\)", surface)
            .replaceFirst(
                "ENDSEC;\\s*END-ISO",
                """
                #900001=AXIS2_PLACEMENT_3D('',#900002,#900003,#900004);
                #900002=CARTESIAN_POINT('',(0.,0.,56.));
                #900003=DIRECTION('',(0.,0.,1.));
                #900004=DIRECTION('',(1.,0.,0.));
                ENDSEC;
                END-ISO\
                """));
  }
}
