package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.quantity.Unit;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Classes and sizes out of what people write as the name of a tool. */
class DescriptionReaderTest {

  private static DescriptionReader.Read read(String text) {
    return DescriptionReader.read(text, "", Unit.MILLIMETRE);
  }

  private static String size(DescriptionReader.Read read, String symbol) {
    Cell cell = read.cells().get(symbol);
    return cell == null ? "" : cell.text() + cell.unit().map(unit -> " " + unit.code()).orElse("");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          End mill D8 Z4 R0,5        | end-mill-flat | DC   | 8 mm
          End mill D8 Z4 R0,5        | end-mill-flat | NOF  | 4
          End mill D8 Z4 R0,5        | end-mill-flat | RE   | 0.5 mm
          VHM-Schaftfräser Ø12       | end-mill-flat | DC   | 12 mm
          End mill 1/2" 4 flutes     | end-mill-flat | DC   | 1/2 in
          End mill 1/2" 4 flutes     | end-mill-flat | NOF  | 4
          End mill 10 mm, Gesamtlänge 83 | end-mill-flat | OAL | 83 mm
          End mill 10 mm, Gesamtlänge 83 | end-mill-flat | DC  | 10 mm
          """)
  void classAndSizesOfAMill(String text, String toolClass, String symbol, String size) {
    DescriptionReader.Read read = read(text);
    assertEquals(toolClass, read.toolClass());
    assertEquals(size, size(read, symbol), read.cells().toString());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          M8x1,25 spiral tap     | M8x1.25  | TP  | 1.25 mm
          Tap M8 6H              | M8       | TP  | ''
          5/16-18 spiral tap     | 5/16-18  | TPI | 18
          #10-32 UNF tap         | #10-32 UNF | TPI | 32
          Tap G1/4               | G1/4     | TPI | ''
          """)
  void threadsOfTaps(String text, String thread, String symbol, String size) {
    DescriptionReader.Read read = read(text);
    assertEquals(thread, size(read, "TDZ"), read.cells().toString());
    assertEquals(size, size(read, symbol), read.cells().toString());
    assertFalse(read.cells().containsKey("DC"), read.cells().toString());
  }

  @Test
  void aThreadIsOnlyReadWhereTheClassHasOne() {
    assertFalse(read("End mill M8 D6").cells().containsKey("TDZ"));
  }

  @Test
  void numbersOfStandardsAndDepthsAreNoSizes() {
    DescriptionReader.Read read = read("Twist drill DIN 338 5xD 6.8 mm");
    assertEquals("6.8 mm", size(read, "DC"), read.cells().toString());
  }

  @Test
  void aDrillOfAGaugeNumberIsInInches() {
    DescriptionReader.Read read = read("Twist drill #7");
    assertEquals("0.2010 in", size(read, "DC"), read.cells().toString());
  }

  @Test
  void anAngleIsNoLength() {
    DescriptionReader.Read read = read("Spot drill 90° D10");
    assertEquals("10 mm", size(read, "DC"), read.cells().toString());
    assertTrue(
        read.cells().values().stream()
            .anyMatch(
                cell -> cell.text().equals("90") && cell.unit().equals(Optional.of(Unit.DEGREE))),
        read.cells().toString());
  }

  @Test
  void severalNumbersOfWhichNoneIsNamedGiveNoDiameter() {
    assertFalse(read("End mill 6.5 x 12.5").cells().containsKey("DC"));
  }

  @Test
  void whatTheFileIsInCountsWhereNothingIsSaid() {
    DescriptionReader.Read read = DescriptionReader.read("End mill D.375", "", Unit.INCH);
    assertEquals(Optional.of(Unit.INCH), read.cells().get("DC").unit());
  }

  @Test
  void aClassThatIsKnownIsKept() {
    DescriptionReader.Read read =
        DescriptionReader.read("8.5 long", "drill-twist", Unit.MILLIMETRE);
    assertEquals("drill-twist", read.toolClass());
    assertEquals("8.5 mm", size(read, "DC"));
  }

  @Test
  void wordsThatNameNoToolGiveNothing() {
    DescriptionReader.Read read = read("spare parts box 12");
    assertEquals("", read.toolClass());
    assertTrue(read.cells().isEmpty());
  }

  /** A description of thousands of signs takes no longer than its beginning. */
  @Test
  void onlyTheBeginningOfALongTextIsRead() {
    DescriptionReader.Read read = read("End mill D8 " + "x 1".repeat(100_000) + " Z4");
    assertEquals("8 mm", size(read, "DC"));
    assertFalse(read.cells().containsKey("NOF"));
  }
}
