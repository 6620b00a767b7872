package arborline.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.Sample;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UsualNameTest {

  @ParameterizedTest
  @CsvSource({
    "CLASS=end-mill-flat DC=10, Flat end mill 10",
    "CLASS=end-mill-ball DC=1/2in RE=6.35, Ball end mill 12.7 R6.35",
    "CLASS=tap-cutting DC=8 TDZ=M8, Cutting tap M8",
    "CLASS=turning-external RE=0.8, External turning tool R0.8",
    "CLASS=probe-touch, Touch probe",
    "CLASS=unheard-of DC=10, ''"
  })
  void classAndSizeMakeAName(String tool, String name) {
    assertEquals(name, UsualName.of(Sample.tool(tool)));
  }
}
