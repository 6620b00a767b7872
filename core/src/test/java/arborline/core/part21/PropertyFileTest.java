package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Cell;
import arborline.core.exchange.Contents;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.Losses;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.exchange.WriteOptions;
import arborline.core.quantity.Unit;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PropertyFileTest {

  private static final PropertyFile FORMAT = new PropertyFile();
  private static final WriteOptions OPTIONS =
      new WriteOptions("Shop's", Contents.of(List.of()), Optional.empty());
  private static final Tool DRILL =
      Interpreter.interpret(
              RawItem.of(
                      Sample.tool("CLASS=drill-twist CODE=D-8 OAL=90.00 SIG=140 NOF=2")
                          .noted(
                              new TreeMap<>(
                                  Map.of("Regal", "l'\u00e9tag\u00e8re \\ 3\n\ud83d\ude42"))))
                  .with(Map.of("DC", Cell.of("5/16", Unit.INCH))))
          .tool();

  private static String written(Tool tool) throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (BundleSink sink = FORMAT.create(file, OPTIONS)) {
      sink.write(new Bundle(tool, OptionalInt.of(4)));
    }
    return file.toString(StandardCharsets.US_ASCII);
  }

  private static List<RawItem> read(String file) throws IOException {
    byte[] bytes = file.getBytes(StandardCharsets.US_ASCII);
    List<RawItem> items = new ArrayList<>();
    try (ItemSource source =
        FORMAT.open(new ByteArrayInputStream(bytes), bytes, TableReading.propose(bytes))) {
      for (Optional<RawItem> next = source.next(); next.isPresent(); next = source.next()) {
        items.add(next.get());
      }
    }
    return items;
  }

  @Test
  void unitsAndTextsOfAnyLanguageComeBack() throws IOException {
    Tool back = Interpreter.interpret(read(written(DRILL)).getFirst()).tool();
    assertEquals("0.3125", back.values().get("DC").text());
    assertEquals(DRILL.size("DC"), back.size("DC"));
    assertEquals("90.00", back.values().get("OAL").text());
    assertEquals(DRILL.notes(), back.notes());
  }

  @Test
  void aFractionIsSaidToBecomeADecimal() {
    LossReport losses = new LossReport();
    new Losses(FORMAT, OPTIONS, losses).of(new Bundle(DRILL, OptionalInt.of(4)));
    assertEquals(
        List.of("DC '5/16' becomes '0.3125'"),
        losses.losses().stream().map(loss -> loss.symbol() + " " + loss.how()).toList());
  }

  @Test
  void theFileIsPlainAsciiWithTheUnitsOfTheStandard() throws IOException {
    String file = written(DRILL);
    assertTrue(file.startsWith("ISO-10303-21;\nHEADER;"));
    assertTrue(file.contains("CONVERSION_BASED_UNIT('INCH'"));
    assertTrue(file.contains("FILE_NAME('Shop''s'"));
    assertTrue(file.endsWith("END-ISO-10303-21;\n"));
  }

  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '"',
      value = {
        "A \\S\\D,A \u00c4",
        "\\X2\\00E9\\X0\\,\u00e9",
        "\\X4\\0001F642\\X0\\,\ud83d\ude42",
        "\\X\\E9,\u00e9",
        "C:\\\\bin,C:\\bin",
        "a\\N\\b,ab"
      })
  void directivesInStringsAreDecoded(String raw, String text) {
    assertEquals(text, Part21Text.decoded(raw));
  }

  @Test
  void commentsAndLinesWithinAStatementAreNothing() throws IOException {
    try (PhysicalFile file =
        new PhysicalFile(
            new StringReader("/* #1=A(); */ #12 = ( B('x''y',$) /**/\n C(.T.,(1.,-2.E-3)) ) ;"))) {
      Statement statement = file.next().orElseThrow();
      assertEquals(12, statement.id());
      assertEquals("x'y", statement.entity("B").orElseThrow().text(0));
      assertEquals("T", statement.entity("C").orElseThrow().word(0));
      assertFalse(file.next().isPresent());
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "#1=ITEM('a",
        "#1=ITEM('a')",
        "#1=ITEM(((((",
        "#=A();",
        "#1=();X",
        "/* open",
        "#1=A(1 2);"
      })
  void whatIsNoStatementIsRefusedWithItsLine(String file) {
    UnreadableFileException refused =
        assertThrows(UnreadableFileException.class, () -> read("\n" + file));
    assertTrue(refused.getMessage().startsWith("line 2: "), refused.getMessage());
  }

  @Test
  void aPropertyOfAnotherItemIsRefused() {
    UnreadableFileException refused =
        assertThrows(
            UnreadableFileException.class,
            () -> read("#1=ITEM('a','cutter','','');\n#2=PROPERTY(#9,'DC');"));
    assertTrue(refused.getMessage().startsWith("line 2: a property of #9"));
  }
}
