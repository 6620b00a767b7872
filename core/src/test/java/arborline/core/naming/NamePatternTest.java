package arborline.core.naming;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NamePatternTest {

  private static final Tool MILL =
      Sample.tool(
          "CLASS=end-mill-corner-radius DC=6.35 RE=0.5 APMX=22 DMM=10 OAL=72 NOF=4 GRADE=P30");

  private static NamePattern pattern(String text) {
    return NamePattern.read(text).pattern().orElseThrow();
  }

  private static String filled(String text) {
    return pattern(text).fill(MILL, 7).text().orElseThrow();
  }

  @ParameterizedTest(name = "{0} makes {1}")
  @CsvSource({
    "EM{DC}, EM6.35",
    "EM{DC 3.1}, EM006.4",
    "EM{DC 2.3}, EM06.350",
    "EM{DC in}, EM0.25",
    "EM{DC in 1.3}, EM0.250",
    "{dc mm}, 6.35",
    "{NOF}F, 4F",
    "{NOF 2}F, 04F",
    "{GRADE}, P30",
    "{GRADE 1}, P",
    "{CLASS} {DC}, Corner-radius end mill 6.35",
    "A {CLASS}, A corner-radius end mill",
    "{KIND}{DC}, CREM6.35",
    "T{NO}, T7",
    "T{NO 4}, T0007",
    "{DC}[-R{RE}], 6.35-R0.5",
    "{DC}[-L{LU}], 6.35",
    "{DC}[ x {LU} reach {RE}], 6.35",
    "\\{{DC}\\}, {6.35}",
    "\\[{NOF}\\], [4]",
    "a\\\\b, a\\b"
  })
  void fillsFieldsFromProperties(String text, String expected) {
    assertEquals(expected, filled(text));
  }

  @ParameterizedTest(name = "{0} is refused: {1}")
  @CsvSource(
      delimiter = '|',
      value = {
        "EM{DC|character 3: { is never closed",
        "EM}|character 3: } closes nothing",
        "A[B|character 2: [ is never closed",
        "A]|character 2: ] closes nothing",
        "[A[B]]|character 3: an optional part cannot hold another",
        "{}|character 2: a field is a symbol",
        "{DC cm}|character 2: a field is a symbol",
        "{WIDTH}|character 2: 'WIDTH' is no property",
        "A\\|character 2: nothing follows"
      })
  void saysWhereAPatternIsWrong(String text, String fault) {
    NamePattern.Read read = NamePattern.read(text);
    assertTrue(read.pattern().isEmpty());
    assertTrue(read.fault().orElseThrow().startsWith(fault), read.fault().get());
  }

  @Test
  void namesWhatATlacks() {
    NamePattern.Filled filled = pattern("{DC}x{LU}-{COATING}").fill(MILL, 1);
    assertEquals(Optional.empty(), filled.text());
    assertEquals(List.of("LU", "COATING"), filled.missing());
  }

  @Test
  void aLengthAuthoredInInchesIsWrittenInTheUnitOfThePattern() {
    Tool inch = Sample.tool("CLASS=end-mill-flat DC=1/2in APMX=1in DMM=12.7 OAL=83 NOF=4");
    assertEquals("12.7", pattern("{DC}").fill(inch, 1).text().orElseThrow());
    assertEquals("0.5", pattern("{DC in}").fill(inch, 1).text().orElseThrow());
  }

  @ParameterizedTest
  @CsvSource({
    "R{RE}-{NO 3}, R0.5-001, true",
    "R{RE}-{NO 3}, R0.5-1234, true",
    "R{RE}-{NO 3}, R0.5-01, false",
    "R{RE}-{NO 3}, R0x5-001, false",
    "{DC}[-L{LU}], 6.35, true",
    "{DC}[-L{LU}], 6.35-L30, false",
    "{DC}-{LU}, 6.35-, false"
  })
  void tellsWhetherATextIsAsThePatternSays(String text, String actual, boolean fits) {
    assertEquals(fits, pattern(text).fits(MILL, actual));
  }

  @Test
  void knowsWhetherItCounts() {
    assertTrue(pattern("A{NO}").running());
    assertFalse(pattern("A{DC}").running());
  }

  @Test
  void manyRunningNumbersAreToldFromALongTextAtOnce() {
    String fourteen = "{NO}".repeat(14);
    assertTrue(pattern(fourteen).fits(MILL, "1".repeat(44)));
    assertFalse(pattern(fourteen).fits(MILL, "1".repeat(44) + "x"));
    assertFalse(pattern(fourteen).fits(MILL, "1".repeat(13)));
    assertFalse(pattern("{NO}").fits(MILL, "1234567890"));
  }

  @Test
  void whatADesignationSaysIsNamedAsWell() {
    Tool holder = Sample.tool("CLASS=turning-external SHANK=PDJNL2525M15 MIID=DNMG150612");
    assertEquals("L-1.2", pattern("{HAND}-{RE}").fill(holder, 1).text().orElseThrow());
  }
}
