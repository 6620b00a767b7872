package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class InspectorTest {

  private static RawItem line(String... pairs) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      cells.put(pairs[i], Cell.of(pairs[i + 1]));
    }
    return new RawItem(5, cells, List.of());
  }

  private static final RawItem SOUND =
      line(
          "CODE",
          "A1",
          "CLASS",
          "flat end mill",
          "DC",
          "10",
          "APMX",
          "22",
          "DMM",
          "10",
          "OAL",
          "72",
          "NOF",
          "4");

  private static List<String> codes(RawItem raw) {
    return Inspector.inspect(raw).findings().stream().map(Finding::code).toList();
  }

  @Test
  void aSoundLinePasses() {
    Inspected inspected = Inspector.inspect(SOUND);
    assertEquals(Disposition.PASS, inspected.disposition());
    assertEquals("end-mill-flat", inspected.tool().toolClass());
  }

  @Test
  void textWhereANumberBelongsIsOneFindingNotTwo() {
    assertEquals(
        List.of("not-a-number"),
        codes(SOUND.with(new TreeMap<>(Map.of("APMX", Cell.of("thirteen"))))));
  }

  @Test
  void blankLineIsSkipped() {
    assertEquals(Disposition.SKIPPED, Inspector.inspect(line("CODE", " ")).disposition());
  }

  @Test
  void missingCodeOffersOneMadeFromClassDiameterAndLine() {
    Finding finding =
        Inspector.inspect(SOUND.with(new TreeMap<>(Map.of("CODE", Cell.of("")))))
            .findings()
            .getFirst();
    assertEquals("code-missing", finding.code());
    assertEquals("END-MILL-FLAT-10-5", finding.repair().orElseThrow().changes().get("CODE"));
  }

  @Test
  void aCodeHasNoSpaces() {
    Finding finding =
        Inspector.inspect(SOUND.with(new TreeMap<>(Map.of("CODE", Cell.of("A 1")))))
            .findings()
            .getFirst();
    assertEquals("A-1", finding.repair().orElseThrow().changes().get("CODE"));
  }

  @Test
  void signsThatCannotBeSeenAreHeldAndLeftOutOnRequest() {
    Finding finding =
        Inspector.inspect(SOUND.with(new TreeMap<>(Map.of("CODE", Cell.of("A\u200b1")))))
            .findings()
            .getFirst();
    assertEquals("A1", finding.repair().orElseThrow().changes().get("CODE"));
    assertEquals(
        List.of("name-characters"),
        codes(SOUND.with(new TreeMap<>(Map.of("NAME", Cell.of("Mill\u202e 10"))))));
  }

  @Test
  void aToolThatSomebodyTypesIsNeverJustBlank() {
    List<String> found =
        Inspector.judge(line("CODE", "")).findings().stream().map(Finding::code).toList();
    assertEquals(List.of("code-missing", "class.missing"), found);
  }

  @Test
  void toolNumberIsWhole() {
    assertEquals(
        List.of("number-not-whole"),
        codes(SOUND.with(new TreeMap<>(Map.of("NUMBER", Cell.of("4a"))))));
  }

  @Test
  void clashSaysWhatDiffers() {
    Tool here = Inspector.inspect(SOUND).tool();
    Tool there = Inspector.inspect(SOUND.with(new TreeMap<>(Map.of("DC", Cell.of("12"))))).tool();
    Finding finding = Clashes.withShop(here, there, "A1-2");
    assertTrue(finding.message().contains("DC 10 mm here, 12 mm in the shop"));
    assertEquals("A1-2", finding.repair().orElseThrow().changes().get("CODE"));
  }

  @Test
  void fingerprintFollowsContentNotCode() {
    Tool tool = Inspector.inspect(SOUND).tool();
    assertEquals(ContentHash.of(tool), ContentHash.of(tool.named("B2", tool.name())));
    assertNotEquals(ContentHash.of(tool), ContentHash.of(tool.named("A1", "other")));
  }

  /** What was written and cannot be read is not replaced by what would follow. */
  @Test
  void anUnreadableValueDoesNotFollowFromAnother() {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.CODE, Cell.of("M-1"));
    cells.put(RawItem.CLASS, Cell.of("end-mill-flat"));
    cells.put("DC", Cell.of("10"));
    cells.put("LCF", Cell.of("22"));
    cells.put("APMX", Cell.of("thirteen"));
    List<String> codes =
        Inspector.inspect(new RawItem(1, cells, List.of())).findings().stream()
            .map(Finding::code)
            .toList();
    assertTrue(codes.contains("not-a-number"));
    assertFalse(codes.contains("implied.APMX"));
  }

  private static RawItem with(String symbol, String text) {
    return SOUND.with(new TreeMap<>(Map.of(symbol, Cell.of(text))));
  }

  @Test
  void aTextThatIsTooLongIsHeldFromOneCharacterOn() {
    assertEquals(List.of(), codes(with("CODE", "A".repeat(60))));
    assertEquals(List.of("text-too-long"), codes(with("CODE", "A".repeat(61))));
    assertEquals(List.of(), codes(with("NAME", "n".repeat(200))));
    Finding finding = Inspector.inspect(with("NAME", "n".repeat(201))).findings().getFirst();
    assertEquals("NAME has 201 characters; 200 are possible", finding.message());
  }

  @Test
  void withoutClassAndDiameterTheProposedCodeIsMadeOfTheLine() {
    assertEquals(
        "TOOL-5",
        Inspector.inspect(line("NAME", "Mill"))
            .findings()
            .getFirst()
            .repair()
            .orElseThrow()
            .changes()
            .get("CODE"));
  }

  /** A fault of ours costs one line, never the delivery. */
  @Test
  void aLineThatCannotBeJudgedIsHeldWithItsReason() {
    RawItem broken =
        new RawItem(
            5, new TreeMap<>(Map.of("DC", new Cell(null, Optional.empty(), false))), List.of());
    Inspected inspected = Inspector.inspect(broken);
    assertEquals(Disposition.HOLD, inspected.disposition());
    assertEquals("line-failed", inspected.findings().getFirst().code());
    assertEquals(broken, inspected.raw().item());
  }
}
