package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NextSizeTest {

  private static Tool next(String text, String code, String name) {
    return NextSize.of(Sample.tool(text).named(code, name)).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"2, 2.5", "6, 8", "6.35, 8", "16, 18", "125, 160"})
  void stepsToTheNextUsualDiameter(String from, String to) {
    Tool next = next("CLASS=end-mill-flat DC=" + from, "", "");
    assertEquals(to, next.size("DC").toPlainString());
    assertTrue(next.values().get("DC").defaulted());
  }

  @Test
  void shankAndBallRadiusFollowOnlyWhereTheyWentWithTheCutter() {
    Tool ball = next("CLASS=end-mill-ball DC=6 RE=3 DMM=6 APMX=9", "", "");
    assertEquals("8", ball.size("DMM").toPlainString());
    assertEquals("4", ball.size("RE").toPlainString());
    assertEquals("9", ball.size("APMX").toPlainString());
    assertFalse(ball.values().get("APMX").defaulted());
    Tool thin = next("CLASS=end-mill-corner-radius DC=4 RE=0.5 DMM=6", "", "");
    assertEquals("6", thin.size("DMM").toPlainString());
    assertEquals("0.5", thin.size("RE").toPlainString());
  }

  @ParameterizedTest
  @CsvSource({
    "MC-FE06, Flat end mill 6, 6, MC-FE08, Flat end mill 8",
    "MC-FE8-6, mill 6 x 16, 6, MC-FE8-8, mill 8 x 16",
    "MC-FE8, mill 8 x 18, 8, MC-FE10, mill 10 x 18",
    "MC-FE, mill 16, 6, , mill 16"
  })
  void codeAndNameCarryTheNewDiameter(
      String code, String name, String from, String newCode, String newName) {
    Tool next = next("CLASS=end-mill-flat DC=" + from, code, name);
    assertEquals(newCode == null ? "" : newCode, next.code());
    assertEquals(newName, next.name());
  }

  @Test
  void nothingIsLargerThanTheLargestAndNoDiameterHasNoNext() {
    assertEquals(Optional.empty(), NextSize.of(Sample.tool("CLASS=face-mill DC=160")));
    assertEquals(Optional.empty(), NextSize.of(Sample.tool("CLASS=turning-external B=25")));
  }

  @Test
  void aConeGoesByItsLargestDiameter() {
    assertEquals("12", next("CLASS=chamfer-mill DCX=10 DCN=0", "", "").size("DCX").toPlainString());
  }
}
