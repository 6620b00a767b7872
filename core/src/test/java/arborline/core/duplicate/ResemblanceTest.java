package arborline.core.duplicate;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.duplicate.Resemblance.Kind;
import arborline.core.tool.Sample;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ResemblanceTest {

  private static final String MILL = "CLASS=end-mill-flat DC=10 APMX=22 OAL=72 DMM=10 NOF=4";

  private static ComparedTool tool(long id, String values) {
    return ComparedTool.of(id, Sample.tool(values), "", "");
  }

  private static Resemblance compare(String one, String two) {
    return Resemblance.of(tool(1, one), tool(2, two), Tolerance.USUAL);
  }

  private static List<Kind> kinds(Resemblance resemblance) {
    return resemblance.reasons().stream().map(Resemblance.Reason::kind).toList();
  }

  @Test
  void itIsTheSameWhicheverToolComesFirst() {
    String[] all = {
      MILL + " CODE=A",
      MILL.replace("APMX=22", "APMX=23") + " CODE=A-1",
      MILL + " CODE=A1 COATING=TIN",
      "CLASS=drill-twist DC=10 OAL=72 CODE=a.1"
    };
    for (String one : all) {
      for (String two : all) {
        assertEquals(compare(one, two).percent(), compare(two, one).percent(), one + two);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({"10.02, true", "9.98, true", "10.021, false", "9.979, false"})
  void lengthsAreTheSameWithinTheToleranceAndNotBeyond(String diameter, boolean same) {
    Resemblance found =
        compare(MILL + " CODE=A", MILL.replace("DC=10", "DC=" + diameter) + " CODE=B");
    assertEquals(same, kinds(found).contains(Kind.SAME_SHAPE));
    assertEquals(!same, kinds(found).contains(Kind.OTHER_SIZES));
  }

  @Test
  void aWiderToleranceFindsMore() {
    ComparedTool one = tool(1, MILL + " CODE=A");
    ComparedTool two = tool(2, MILL.replace("OAL=72", "OAL=72.4") + " CODE=B");
    assertTrue(Resemblance.of(one, two, Tolerance.USUAL).percent() < Resemblance.ASKED);
    assertTrue(
        Resemblance.of(one, two, new Tolerance(new BigDecimal("0.5"))).percent()
            >= Resemblance.ASKED);
  }

  @Test
  void whoStatesLessIsLessSure() {
    int whole = compare(MILL + " CODE=A", MILL + " CODE=B").percent();
    int less =
        compare(MILL + " CODE=A", "CLASS=end-mill-flat DC=10 APMX=22 OAL=72 CODE=B").percent();
    assertEquals(90, whole);
    assertTrue(less < whole && less >= Resemblance.ASKED, less + " of " + whole);
  }

  @Test
  void twoSizesAreTooFewToBeAShape() {
    Resemblance found = compare("CLASS=drill-twist DC=10 CODE=A", "CLASS=drill-twist DC=10 CODE=B");
    assertTrue(found.percent() < Resemblance.ASKED, found.toString());
  }

  @Test
  void leftAndRightAreTwoTools() {
    String turning = "CLASS=turning-external CODE=%s KAPR=95 LF=125 B=20 H=20 HAND=%s";
    Resemblance found = compare(turning.formatted("A", "R"), turning.formatted("B", "L"));
    assertTrue(found.percent() < Resemblance.ASKED, found.toString());
    assertTrue(kinds(found).contains(Kind.OTHER_WORDS));
  }

  @Test
  void oneNameAloneIsNoReason() {
    Resemblance found =
        compare(
            "CLASS=end-mill-flat CODE=A NAME=Mill DC=10 APMX=22 OAL=72 NOF=4",
            "CLASS=end-mill-flat CODE=B NAME=Mill DC=12 APMX=26 OAL=83 NOF=4");
    assertTrue(found.percent() < Resemblance.ASKED, found.toString());
  }

  @Test
  void bothReasonsTogetherAreSurerThanEither() {
    int shape = compare(MILL + " CODE=A-07", MILL + " CODE=B").percent();
    int both = compare(MILL + " CODE=A-07", MILL + " CODE=a7").percent();
    assertTrue(both > shape, both + " and " + shape);
    assertEquals(97, both);
  }
}
