package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NeutralTurningToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=turning-neutral KAPR=72.5 EPSR=35 RE=0.4 H=20 B=20 LF=125");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KAPR", "EPSR", "RE", "H", "B", "LF");
  }

  @Test
  void pointsStraightAhead() {
    SOUND.refuses("KAPR=70", "neutral-not-symmetric", "70 deg");
  }

  @ParameterizedTest
  @ValueSource(strings = {"HAND=N SC=V IC=9.525", "HAND=N KAPR= EPSR="})
  void isAlikeOnBothSidesOfItsAxis(String more) {
    for (Part part : SOUND.with(more).outline().parts()) {
      for (Point point : part.profile()) {
        assertTrue(
            part.profile().stream()
                .anyMatch(other ->
                    Math.abs(other.z() - point.z()) < 1e-6
                        && Math.abs(other.r() + point.r()) < 1e-6),
            part.kind() + " " + point);
      }
    }
  }
}
