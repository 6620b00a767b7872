package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Adjustment;
import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Column;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What somebody decides about a foreign table, kept and used again. */
class RecipeTest {

  private static final String TABLE =
      """
      Item;Series;Ds;Masse;Form;Winkel X;Halb;Gesamt
      A-1;VX;8;D8xL20;SF;118;4;0.072
      A-2;VX;10;D10xL22;SF;140;5;0.080
      A-3;VY;12;12 lang;BO;118;6;0.090
      """;

  private static List<String> headers(String table) {
    return List.of(table.lines().findFirst().orElseThrow().split(";"));
  }

  private static byte[] bytes(String table) {
    return table.getBytes(StandardCharsets.UTF_8);
  }

  private static TableReading proposed(String table) {
    return BundleFormats.recognise(bytes(table)).propose(bytes(table));
  }

  private static TableReading decided(String header, String symbol, Adjustment adjustment) {
    TableReading proposed = proposed(TABLE);
    return proposed.with(
        proposed.columns().stream()
            .map(column ->
                column.header().equals(header)
                    ? new Column(
                        header,
                        symbol,
                        Column.of(symbol).unit(),
                        TableReading.BY_HAND,
                        adjustment,
                        column.sample())
                    : column)
            .toList());
  }

  private static List<RawItem> read(String table, TableReading reading) throws IOException {
    ItemReader reader = BundleFormats.recognise(bytes(table));
    List<RawItem> items = new ArrayList<>();
    try (ItemSource source =
        reader.open(new ByteArrayInputStream(bytes(table)), bytes(table), reading)) {
      for (Optional<RawItem> next = source.next(); next.isPresent(); next = source.next()) {
        items.add(next.get());
      }
    }
    return items;
  }

  private static List<String> texts(String table, TableReading reading, String symbol)
      throws IOException {
    return read(table, reading).stream().map(item -> item.text(symbol)).toList();
  }

  private static Adjustment split(String pattern) {
    return new Adjustment(
        Optional.of(pattern), Optional.empty(), Optional.empty(), new TreeMap<>());
  }

  @Test
  void aColumnIsTakenApartAndWhatIsMadeOtherwiseIsSaid() throws IOException {
    TableReading reading = decided("Masse", "NOTE", split("D{DC}xL{LU}"));
    assertEquals(List.of("20", "22", ""), texts(TABLE, reading, "LU"));
    RawItem third = read(TABLE, reading).get(2);
    assertEquals("12 lang", third.text("NOTE:Masse"));
    assertEquals(
        List.of("split-unmatched"),
        third.findings().stream()
            .map(Finding::code)
            .filter(code -> code.startsWith("split"))
            .toList());
  }

  @Test
  void aColumnIsMultipliedAndPutIntoOtherWords() throws IOException {
    TableReading metres = decided("Gesamt", "OAL", Adjustment.times(BigDecimal.valueOf(1000)));
    assertEquals(List.of("72", "80", "90"), texts(TABLE, metres, "OAL"));
    TableReading classes =
        decided(
            "Form", "CLASS", Adjustment.words(Map.of("sf", "end-mill-flat", "BO", "drill-twist")));
    assertEquals(
        List.of("end-mill-flat", "end-mill-flat", "drill-twist"), texts(TABLE, classes, "CLASS"));
  }

  @Test
  void aCellThatCannotBeMultipliedHoldsItsLine() throws IOException {
    String table = TABLE.replace("0.072", "72 mm").replace("0.080", "#80").replace("0.090", "-");
    TableReading metres = decided("Gesamt", "OAL", Adjustment.times(BigDecimal.TWO));
    assertEquals(List.of("144", "#80", ""), texts(table, metres, "OAL"));
    List<Finding> findings =
        read(table, metres).stream().flatMap(item -> item.findings().stream()).toList();
    assertEquals(
        List.of(
            "OAL '#80' cannot be multiplied by 2 as the recipe says; type the value that is meant"),
        findings.stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .map(Finding::message)
            .toList());
  }

  @Test
  void aToolWithoutANameIsCalledByItsClass() throws IOException {
    String table = "Kennz;Form;D;LU\nK-1;SF;8;20\nK-2;SF;10;22\n";
    TableReading proposed = proposed(table);
    List<Column> columns = new ArrayList<>(proposed.columns());
    columns.set(
        1,
        new Column(
            "Form",
            "CLASS",
            Optional.empty(),
            TableReading.BY_HAND,
            Adjustment.words(Map.of("SF", "end-mill-flat")),
            columns.get(1).sample()));
    assertEquals(
        List.of("flat end mill", "flat end mill"),
        read(table, proposed.with(columns)).stream().map(item -> item.text("NAME")).toList());
  }

  @Test
  void aColumnIsPutBehindAnotherOne() throws IOException {
    Adjustment behind =
        new Adjustment(Optional.empty(), Optional.empty(), Optional.of("/"), new TreeMap<>());
    TableReading reading = decided("Series", "CODE", behind);
    assertEquals(List.of("A-1/VX", "A-2/VX", "A-3/VY"), texts(TABLE, reading, "CODE"));
  }

  @Test
  void aConstantStandsWhereALineSaysNothing() throws IOException {
    TableReading proposed = proposed(TABLE);
    TableReading reading =
        new TableReading(
            proposed.charset(),
            proposed.charsetEvidence(),
            proposed.delimiter(),
            proposed.delimiterEvidence(),
            proposed.decimal(),
            proposed.decimalEvidence(),
            proposed.unit(),
            proposed.unitEvidence(),
            proposed.columns(),
            new TreeMap<>(Map.of("GRADE", "K20", "CODE", "never")));
    assertEquals(List.of("K20", "K20", "K20"), texts(TABLE, reading, "GRADE"));
    assertEquals(List.of("A-1", "A-2", "A-3"), texts(TABLE, reading, "CODE"));
  }

  @Test
  void whatIsDecidedOnceIsFoundAgainWhereverTheColumnsStand() throws IOException {
    Recipe recipe = Recipe.of("Old list", 2, decided("Winkel X", "SIG", Adjustment.NONE));
    String moved =
        """
        Winkel X;Item;Gesamt;Ds;Series;Masse;Form;Halb;Shelf
        135;B-1;0.072;8;VX;D8xL20;SF;4;C3
        120;B-2;0.080;10;VX;D10xL22;SF;5;C4
        """;
    assertTrue(recipe.fits(headers(moved)));
    TableReading reading = recipe.in(proposed(moved));
    assertEquals("recipe Old list, 2", reading.columns().getFirst().evidence());
    assertEquals(List.of("135", "120"), texts(moved, reading, "SIG"));
  }

  @Test
  void aRecipeThatNoLongerFitsNamesWhatIsMissing() {
    Recipe recipe = Recipe.of("Old list", 1, decided("Winkel X", "SIG", Adjustment.NONE));
    List<String> others = List.of("Item", "Series", "Ds", "Masse", "Form", "Halb", "Gesamt");
    assertEquals(List.of("Winkel X"), recipe.missing(others));
    assertFalse(recipe.fits(others));
  }

  /** The table with what somebody decides about the columns at some places, from 0. */
  private static TableReading decided(String table, Map<Integer, String> symbols) {
    TableReading proposed = proposed(table);
    List<Column> columns = new ArrayList<>(proposed.columns());
    symbols.forEach((place, symbol) ->
        columns.set(
            place,
            new Column(
                columns.get(place).header(),
                symbol,
                Column.of(symbol).unit(),
                TableReading.BY_HAND)));
    return proposed.with(columns);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Item;Ds;;;Gesamt",
        "Item;Ds;Mass;Mass;Gesamt",
        "Code;Diameter;#;#;Overall length"
      })
  void columnsWithoutAHeaderOrWithTheSameAreDecidedEachByItself(String header) throws IOException {
    String table = header + "\nA-1;8;20;4;72\nA-2;10;22;5;80\n";
    TableReading reading = decided(table, Map.of(2, "LU", 3, "NOF"));
    assertEquals(List.of("20", "22"), texts(table, reading, "LU"));
    assertEquals(List.of("4", "5"), texts(table, reading, "NOF"));
    Recipe recipe = Recipe.of("Twins", 1, reading);
    assertTrue(recipe.fits(List.of(header.split(";"))));
    String next = header + "\nB-1;6;18;3;57\nB-2;16;32;2;92\n";
    assertEquals(List.of("18", "32"), texts(next, recipe.in(proposed(next)), "LU"));
    assertEquals(List.of("3", "2"), texts(next, recipe.in(proposed(next)), "NOF"));
  }

  @Test
  void whatNumbersLookLikeIsAskedAndNotTaken() throws IOException {
    TableReading reading = proposed(TABLE);
    Column angle = column(reading, "Winkel X");
    assertEquals(Optional.of("SIG"), angle.sample().guess());
    assertEquals(List.of("118", "140"), angle.sample().cells());
    assertEquals(List.of("", "", ""), texts(TABLE, reading, "SIG"));
  }

  @ParameterizedTest
  @CsvSource({"2 4 3, NOF", "1 2 3, ''", "7 8 9, ''", "118 140 118, SIG", "2 40 3, ''"})
  void numbersOfLinesAreNoTeeth(String numbers, String guess) {
    String[] cells = numbers.split(" ");
    StringBuilder table = new StringBuilder("Item;Durchmesser;Zz;Gesamt\n");
    for (int i = 0; i < cells.length; i++) {
      table.append("A-%d;%d;%s;72\n".formatted(i, 6 + i, cells[i]));
    }
    assertEquals(guess, column(proposed(table.toString()), "Zz").sample().guess().orElse(""));
  }

  private static Column column(TableReading reading, String header) {
    return reading.columns().stream()
        .filter(column -> column.header().equals(header))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "D{DC}xL{LU}, d10 xl22, '[10, 22]'",
    "{DC} x {OAL}, 8x72, '[8, 72]'",
    "M{TDZ}, m10, '[10]'",
    "{DC}mm {NAME}, 8 mm VHM lang, '[8, VHM lang]'"
  })
  void aPatternReadsPieces(String pattern, String cell, String pieces) {
    assertEquals(pieces, SplitPattern.of(pattern).pieces(cell).orElseThrow().toString());
  }

  @ParameterizedTest
  @ValueSource(strings = {"DC", "{}", "{DC}{LU}", "{WHAT}", "{DC} {{}}"})
  void whatIsNoPatternIsRefused(String pattern) {
    assertThrows(IllegalArgumentException.class, () -> SplitPattern.of(pattern));
  }
}
