package arborline.core.turning;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.Sample;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EdgeClearancesTest {

  @ParameterizedTest(name = "KAPR {0} with a corner of {1}")
  @CsvSource({
    "95, 80, 5, 2, 5",
    "93, 55, 32, 29, 3",
    "107.5, 35, 37.5, 34.5, 17.5",
    "75, 90, 15, 12, 0",
    "91, 88, 1, 0, 1"
  })
  void followFromEdgeAndCorner(
      String edge, String corner, String end, String plunge, String undercut) {
    EdgeClearances found =
        EdgeClearances.of(
                Sample.tool("CLASS=turning-external KAPR=%s EPSR=%s".formatted(edge, corner)))
            .orElseThrow();
    assertEquals(end, found.end().toPlainString());
    assertEquals(plunge, found.plunge().toPlainString());
    assertEquals(undercut, found.undercut().toPlainString());
  }

  @Test
  void areNotGuessed() {
    assertEquals(
        Optional.empty(), EdgeClearances.of(Sample.tool("CLASS=turning-external KAPR=95")));
  }
}
