package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.RuleBook;
import arborline.core.tool.Sample;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShankNamerTest {

  private static List<String> offered(String sizes) {
    return RuleBook.judge(Sample.tool(sizes)).stream()
        .filter(finding -> finding.code().equals("holder-named"))
        .map(finding -> finding.repair().orElseThrow().changes().get("SHANK"))
        .toList();
  }

  private static final String EXTERNAL =
      "CLASS=turning-external RE=0.8 WF=32 H=%s B=%s LF=%s HAND=%s SC=%s KAPR=%s AN=%s IC=%s MTP=%s";

  @ParameterizedTest(name = "{9}")
  @CsvSource({
    "25, 25, 150, R, C, 95, 0, 12.7, P, PCLNR 2525 M12",
    "20, 20, 125, L, D, 93, 0, 12.7, P, PDJNL 2020 K15",
    "32, 25, 170, R, S, 75, 0, 12.7, P, PSRNR 3225 P12",
    "16, 16, 100, R, C, 95, 7, 9.525, S, SCLCR 1616 H09"
  })
  void sizesOfAHolderGiveItsDesignation(
      String h,
      String b,
      String lf,
      String hand,
      String sc,
      String kapr,
      String an,
      String ic,
      String mtp,
      String designation) {
    assertEquals(
        List.of(designation), offered(EXTERNAL.formatted(h, b, lf, hand, sc, kapr, an, ic, mtp)));
  }

  @Test
  void sizesOfABarGiveItsDesignation() {
    assertEquals(
        List.of("S25T-SCLCR09"),
        offered(
            "CLASS=turning-internal RE=0.4 WF=17 DMIN=32 DMM=25 LF=300 HAND=R SC=C KAPR=95 AN=7"
                + " IC=9.525 MTP=S"));
  }

  @ParameterizedTest(name = "no standard holder has {0}")
  @CsvSource({"LF=151", "KAPR=91", "IC=13", "AN=8", "H=24", "H=25.5", "SHANK=PCLNR_2525_M_12"})
  void whatNoStandardKnowsIsNotNamed(String change) {
    assertEquals(
        List.of(),
        offered(EXTERNAL.formatted(25, 25, 150, "R", "C", 95, 0, 12.7, "P") + " " + change));
  }

  /** Whatever is named says the same when it is read again. */
  @ParameterizedTest
  @CsvSource({"PCLNR 2525 M12", "PDJNL 2020 K15", "PTFNR 2020 K16", "SVVBN 2020 K16"})
  void readingAndNamingAgree(String designation) {
    Map<String, String> said =
        ShankProperties.of(ShankReader.read(designation).value().orElseThrow());
    StringBuilder sizes = new StringBuilder("CLASS=turning-external RE=0.8 WF=25");
    for (String symbol : List.of("MTP", "SC", "KAPR", "AN", "HAND", "H", "B", "LF", "IC")) {
      sizes.append(' ').append(symbol).append('=').append(said.get(symbol));
    }
    List<String> named = offered(sizes.toString());
    assertEquals(1, named.size(), sizes.toString());
    Map<String, String> again =
        ShankProperties.of(ShankReader.read(named.getFirst()).value().orElseThrow());
    assertTrue(
        List.of("KAPR", "AN", "HAND", "H", "B", "LF", "SC").stream()
            .allMatch(symbol -> said.get(symbol).equals(again.get(symbol))));
  }
}
