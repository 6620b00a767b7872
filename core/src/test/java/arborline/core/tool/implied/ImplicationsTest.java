package arborline.core.tool.implied;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Implication;
import arborline.core.tool.Sample;
import arborline.core.tool.Value;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What follows from what, by hand. */
class ImplicationsTest {

  private static String implied(Implication[] implications, String symbol, String tool) {
    return Stream.of(implications)
        .filter(implication -> implication.symbol().equals(symbol))
        .flatMap(implication -> implication.value(Sample.tool(tool)).stream())
        .map(Value::text)
        .findFirst()
        .orElse("");
  }

  @ParameterizedTest(name = "{0} of {1} is {2}")
  @CsvSource({"RE, DC=10, 5", "DC, RE=3, 6", "RE, APMX=3, ''"})
  void aBallIsHalfItsDiameter(String symbol, String tool, String text) {
    assertEquals(text, implied(Shapes.ball(), symbol, tool));
  }

  @ParameterizedTest(name = "{0} of {1} is {2}")
  @CsvSource({
    "DCX, DC=20, 20",
    "SIG, KAPR=30, 120",
    "DCN, DCX=20 APMX=5 SIG=90, 10",
    "DCN, DCX=10 APMX=5 SIG=90, 0",
    "DCN, DCX=8 APMX=5 SIG=90, ''",
    "DCX, DCN=10 APMX=5 SIG=90, 20",
    "SIG, DCX=20 DCN=10 APMX=5, 90",
    "APMX, DCX=20 DCN=10 SIG=60, 8.6603"
  })
  void theSizesOfAConeFollowFromEachOther(String symbol, String tool, String text) {
    assertEquals(text, implied(Shapes.cone(), symbol, tool));
  }

  @ParameterizedTest(name = "{0} of {1} is {2}")
  @CsvSource({
    "DCN, DC=6 APMX=20 BHTA=5, 2.5005",
    "DCN, DC=3 APMX=20 BHTA=5, ''",
    "DC, DCN=2 APMX=20 BHTA=3, 4.0963",
    "BHTA, DC=8 DCN=3 APMX=30, 4.7636",
    "APMX, DC=8 DCN=3 BHTA=3, 47.7028"
  })
  void theSizesOfATaperFollowFromEachOther(String symbol, String tool, String text) {
    assertEquals(text, implied(Shapes.taper(), symbol, tool));
  }

  @ParameterizedTest(name = "{0} of {1} is {2}")
  @CsvSource({
    "DCX, DC=50 APMX=6 KAPR=60, 56.9282",
    "DC, DCX=62 APMX=6 KAPR=45, 50",
    "KAPR, DC=50 DCX=62 APMX=6, 45",
    "APMX, DC=50 DCX=62 KAPR=60, 10.3923",
    "DCX, DC=50 APMX=6 KAPR=90, ''",
    "DC, DCX=10 APMX=6 KAPR=45, ''"
  })
  void theSizesOfAFaceMillFollowFromEachOther(String symbol, String tool, String text) {
    assertEquals(text, implied(Shapes.face(), symbol, tool));
  }

  @ParameterizedTest(name = "{0} of {1} is {2}")
  @CsvSource({"KAPR, EPSR=55, 62.5", "EPSR, KAPR=72.5, 35"})
  void aHolderThatPointsStraightHalvesWhatTheInsertLeaves(String symbol, String tool, String text) {
    assertEquals(text, implied(Shapes.neutral(), symbol, tool));
  }

  @ParameterizedTest(name = "TPI {0} is a pitch of {1}")
  @CsvSource({"20, 1.27", "7, 3.6286", "10, 2.54"})
  void threadsPerInchGiveThePitch(String threads, String pitch) {
    assertEquals(pitch, implied(Shapes.pitch(), "TP", "TPI=" + threads));
  }

  @Test
  void designationsSpellSizesAndWords() {
    Implication[] insert = Designated.byInsert("RE", "IC");
    assertEquals("0.8", implied(insert, "RE", "MIID=CNMG120408"));
    assertEquals("", implied(insert, "IC", "MIID=nonsense"));
    Implication[] shank = Designated.byShank("H", "HAND");
    assertEquals("25", implied(shank, "H", "SHANK=PCLNR2525M12"));
    assertEquals("R", implied(shank, "HAND", "SHANK=PCLNR2525M12"));
  }

  @ParameterizedTest(name = "{0}: {1}")
  @CsvSource({
    "CCMS=CY-A-10:m DCONMS=10, 10",
    "CCMS=CY-SF-10:f DCONMS=10, ''",
    "CCMS=HT-A-63:m DCONMS=63, ''",
    "DCONMS=10, ''"
  })
  void onlyACylindricalShankHasTheDiameterOfItsConnection(String tool, String text) {
    assertEquals(text, implied(CylindricalShank.sizes(), "DMM", tool));
  }

  @Test
  void aTradeDefaultIsMarkedSo() {
    Value usual = Usual.of("SIG", "118").value(Sample.tool("DC=10")).orElseThrow();
    assertTrue(usual.defaulted());
    assertEquals("118", usual.text());
    assertFalse(new Same("DCX", "DC").value(Sample.tool("DC=10")).orElseThrow().defaulted());
  }

  @Test
  void whatIsUsualForOneMaterialIsNotForAnother() {
    Usual steel = Usual.ofSubstrate("SIG", "118", "HSS", "HSS-E");
    assertEquals("118", steel.value(Sample.tool("SUBSTRATE=hss")).orElseThrow().text());
    assertEquals(Optional.empty(), steel.value(Sample.tool("SUBSTRATE=HC")));
    assertEquals(Optional.empty(), steel.value(Sample.tool("DC=10")));
  }

  @Test
  void originsSayWhatAValueFollowsFrom() {
    assertEquals("follows from DC", Shapes.ball()[0].origin().text());
    assertEquals(List.of("RE", "DC"), Stream.of(Shapes.ball()).map(Implication::symbol).toList());
  }
}
