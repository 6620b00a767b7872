package arborline.core.connection;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class JointTest {

  @ParameterizedTest(name = "{0} with {1}: {2}")
  @CsvFileSource(resources = "/vectors/connections.csv", numLinesToSkip = 1)
  void agreesWithWorkedCases(String one, String other, String mates, String why) {
    for (Joint joint : new Joint[] {Joint.of(one, other), Joint.of(other, one)}) {
      assertEquals(mates.equals("yes"), joint.mates(), joint.why());
      assertEquals(why, joint.why());
    }
  }

  @ParameterizedTest
  @CsvSource({
    "CY-A-12:f, is a shank",
    "CY-SL-12:m, is a bore",
    "CY-RG-10..9:f, is not FROM..TO",
    "CY-A-1.2.3:m, is not a number",
    "CY-A-0:m, must be > 0",
    "SQ-H-25x25:f, a slot has one size",
    "AR-B-28:m, not in the series",
    "HT-A-63, does not follow"
  })
  void wrongCodesAreSaid(String code, String fault) {
    Connection.Read read = Connection.read(code);
    assertFalse(read.connection().isPresent());
    assertTrue(read.fault().contains(fault), read.fault());
  }

  @ParameterizedTest
  @CsvSource({"ST-AD-40:m", "CY-RG-9..10:f", "CY-A-0.5in:m", "SQ-H-25x25:m", "HT-F-63:f"})
  void aCodeIsWrittenAsItWasRead(String code) {
    assertEquals(code, Connection.read(code).connection().orElseThrow().code());
  }
}
