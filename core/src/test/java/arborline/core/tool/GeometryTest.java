package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GeometryTest {

  private static final String MILL =
      "CODE=A NAME=Mill CLASS=end-mill-flat DC=12.7 APMX=22 DMM=12.7 OAL=72 NOF=4 ";

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource({
    "CODE=B NAME=Other GRADE=K20, true",
    "DC=1/2in DMM=0.5in, true",
    "RPMX=20000 WT=0.1, true",
    "FHA=45, true",
    "NOF=3, false",
    "OAL=83, false",
    "HAND=L, false",
    "CLASS=end-mill-ball, false"
  })
  void cutAlikeWhateverTheyAreCalled(String changes, boolean same) {
    Tool one = Sample.tool(MILL + "HAND=R RPMX=12000 GRADE=P10");
    Tool other = Sample.tool(MILL + "HAND=R RPMX=12000 GRADE=P10 " + changes);
    assertEquals(same, Geometry.same(one, other));
    assertEquals(same, Geometry.same(other, one));
  }

  /** A designation says the corner as well as its number does. */
  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource({"MIID=DNMG150608, true", "MIID=DNMG150612, false"})
  void whatFollowsTellsThemApartAsWell(String designation, boolean same) {
    String holder = "CODE=A NAME=Holder CLASS=turning-external SHANK=PDJNR2525M15 ";
    Tool written = Sample.tool(holder + "RE=0.8");
    assertEquals(same, Geometry.same(written, Sample.tool(holder + designation)));
  }
}
