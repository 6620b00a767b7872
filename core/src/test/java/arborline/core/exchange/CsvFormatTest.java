package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CsvFormatTest {

  static List<RawItem> read(byte[] file) throws IOException {
    byte[] head = Arrays.copyOf(file, Math.min(file.length, 65536));
    List<RawItem> lines = new ArrayList<>();
    ItemReader format = BundleFormats.recognise(head);
    try (ItemSource source =
        format.open(new ByteArrayInputStream(file), head, TableReading.propose(head))) {
      for (Optional<RawItem> line = source.next(); line.isPresent(); line = source.next()) {
        lines.add(line.get());
      }
    }
    return lines;
  }

  static byte[] write(String format, List<Bundle> tools, Optional<Unit> unit) throws IOException {
    Contents.Survey survey = new Contents.Survey();
    tools.forEach(survey::add);
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (BundleSink sink =
        BundleFormats.named(format)
            .orElseThrow()
            .create(file, new WriteOptions("Shop", survey.contents(), unit))) {
      for (Bundle tool : tools) {
        sink.write(tool);
      }
    }
    return file.toByteArray();
  }

  static List<Bundle> starter() throws IOException {
    return read(Files.readAllBytes(Path.of("../demo/incoming/marram-starter.csv"))).stream()
        .map(Interpreter::interpret)
        .map(inspected -> new Bundle(inspected.tool(), inspected.number()))
        .toList();
  }

  private static final String TABLE = "CODE,DC [mm],NAME\nA1,12.5,\"Fräser, \"\"lang\"\"\"\n";

  @Test
  void readsUtf8Utf16AndWindows1252() throws IOException {
    for (Charset charset :
        List.of(
            StandardCharsets.UTF_8,
            StandardCharsets.UTF_16,
            StandardCharsets.UTF_16LE,
            Charset.forName("windows-1252"))) {
      RawItem line = read(TABLE.getBytes(charset)).getFirst();
      assertEquals("Fräser, \"lang\"", line.text("NAME"), charset.name());
      assertEquals("12.5", line.text("DC"));
    }
  }

  @Test
  void readsSemicolonsAndDecimalCommas() throws IOException {
    RawItem line = read("CODE;DC [mm];OAL [mm]\nA1;12,5;83\nA2;1,250;70,5\n".getBytes()).get(1);
    assertEquals("1.250", line.text("DC"));
  }

  @Test
  void quotedLineBreaksKeepTheLineNumberOfTheirStart() throws IOException {
    List<RawItem> lines = read("CODE,NAME\nA1,\"two\nlines\"\nA2,x\n".getBytes());
    assertEquals(List.of(2L, 4L), lines.stream().map(RawItem::line).toList());
    assertEquals("two\nlines", lines.getFirst().text("NAME"));
  }

  @Test
  void emptyFileAndHeaderOnlyHaveNoLines() throws IOException {
    assertEquals(List.of(), read(new byte[0]));
    assertEquals(List.of(), read("CODE,DC [mm]\n".getBytes()));
  }

  @Test
  void aLineWithTooManyCellsIsHeldAndOthersAreNot() throws IOException {
    List<RawItem> lines = read("CODE,NAME\nA1,x,y\nA2,x\n".getBytes());
    assertEquals("cell-count", lines.getFirst().findings().getFirst().code());
    assertEquals(List.of(), lines.get(1).findings());
  }

  @Test
  void unknownSymbolIsSaidAndKeptAsANote() {
    Column column = Column.of("FOO [mm]");
    assertEquals("NOTE:FOO [mm]", column.symbol());
    assertTrue(column.evidence().contains("'FOO'"));
  }

  @Test
  void inchColumnGivesInches() {
    assertEquals(Optional.of(Unit.INCH), Column.of("DC [in]").unit());
    assertEquals(Optional.of(Unit.MILLIMETRE), Column.of("DC [kg]").unit());
  }

  @Test
  void whatIsWrittenComesBackUnchanged() throws IOException {
    List<Bundle> tools = starter();
    for (String format : List.of("csv", "json")) {
      List<Bundle> back =
          read(write(format, tools, Optional.empty())).stream()
              .map(Interpreter::interpret)
              .map(inspected -> new Bundle(inspected.tool(), inspected.number()))
              .toList();
      assertEquals(tools, back, format);
    }
  }

  @Test
  void convertedToInchSaysWhatIsRounded() {
    Tool tool = Interpreter.interpret(new RawItem(1, cells("DC", "10"), List.of())).tool();
    LossReport report = new LossReport();
    WriteOptions inch = new WriteOptions("x", Contents.of(List.of("DC")), Optional.of(Unit.INCH));
    new Losses(BundleFormats.named("csv").orElseThrow(), inch, report)
        .of(new Bundle(tool, OptionalInt.empty()));
    assertEquals(1, report.count());
    assertEquals("10 mm is rounded to 12 decimals in inches", report.losses().getFirst().how());
  }

  @Test
  void formulaCellsAreDisarmedAndComeBack() throws IOException {
    var cells = cells("DC", "10");
    cells.put("CODE", Cell.of("=1+2"));
    cells.put("NAME", Cell.of("'quoted"));
    Tool tool = Interpreter.interpret(new RawItem(1, cells, List.of())).tool();
    byte[] file = write("csv", List.of(new Bundle(tool, OptionalInt.empty())), Optional.empty());
    assertTrue(new String(file, StandardCharsets.UTF_8).contains("'=1+2"));
    RawItem back = read(file).getFirst();
    assertEquals("=1+2", back.text("CODE"));
    assertEquals("'quoted", back.text("NAME"));
  }

  @Test
  void randomBytesAreReadOrRefusedWithPlaceAndReason() {
    Random random = new Random(3);
    for (int round = 0; round < 300; round++) {
      byte[] noise = new byte[random.nextInt(400)];
      random.nextBytes(noise);
      byte[] file = (round % 2 == 0 ? "CODE,DC\n" : "{\"format\":\"arbor-line-tools\",").getBytes();
      byte[] all = Arrays.copyOf(file, file.length + noise.length);
      System.arraycopy(noise, 0, all, file.length, noise.length);
      try {
        read(all).forEach(line -> assertTrue(line.line() > 0));
      } catch (UnreadableFileException refused) {
        assertTrue(refused.getMessage().contains("line"));
      } catch (IOException other) {
        throw new AssertionError("not refused in words", other);
      }
    }
  }

  @Test
  void brokenJsonNamesTheLine() {
    UnreadableFileException refused =
        assertThrows(
            UnreadableFileException.class,
            () -> read("{\"format\":\"arbor-line-tools\",\n\"tools\":[{\"code\":}]}".getBytes()));
    assertTrue(refused.getMessage().startsWith("line 2"));
  }

  private static List<String> findings(RawItem line) {
    return arborline.core.inspect.Inspector.inspect(line).findings().stream()
        .map(arborline.core.finding.Finding::code)
        .toList();
  }

  @Test
  void aPointBeforeThreeDigitsInACommaFileIsAskedNotGuessed() throws IOException {
    List<RawItem> lines =
        read("CODE;DC;OAL\nA1;10,5;1.000\nA2;8,25;1.234,5\nA3;1,5;72\n".getBytes());
    assertTrue(findings(lines.get(0)).contains("thousands-or-decimal"));
    assertEquals("1.000", lines.get(0).text("OAL"));
    assertEquals("1234.5", lines.get(1).text("OAL"));
    assertEquals("8.25", lines.get(1).text("DC"));
    assertEquals("72", lines.get(2).text("OAL"));
  }

  @Test
  void aCommaThatCanOnlyPartThousandsIsReadSo() throws IOException {
    assertEquals(
        "1234.5", read("CODE\tDC\tOAL\nA1\t10.5\t1,234.5\n".getBytes()).getFirst().text("OAL"));
  }

  @Test
  void aSymbolBelongsToTheFirstColumnThatNamesIt() throws IOException {
    byte[] file = "CODE,DC,DC,OAL\nA1,10,12,72\n".getBytes();
    assertEquals("10", read(file).getFirst().text("DC"));
    assertEquals(
        "DC stands in column 2 already; kept as a note",
        TableReading.propose(file).columns().get(2).evidence());
  }

  @Test
  void aLineOfWhichNothingIsReadIsHeldNotBlank() throws IOException {
    List<RawItem> lines = read("CODE,DC,My remarks\nA1,10,\n,,by hand\n".getBytes());
    assertEquals(List.of("nothing-read"), findings(lines.get(1)).stream().limit(1).toList());
  }

  @Test
  void aTitleOverTheHeaderIsARemark() throws IOException {
    List<RawItem> lines = read("My tools 2026,,\nCODE,DC,OAL\nA1,10,72\n".getBytes());
    assertEquals(List.of("line-remark"), findings(lines.get(0)));
    assertEquals("My tools 2026", lines.get(0).text("NOTE"));
    assertEquals("10", lines.get(1).text("DC"));
    assertEquals(3, lines.get(1).line());
  }

  @Test
  void unitsMustMeasureTheProperty() throws IOException {
    RawItem line = read("CODE,TP [tpi],DC,CP\nA1,8,12 tpi,1000 psi\n".getBytes()).getFirst();
    Interpreter.Interpreted read = Interpreter.interpret(line);
    assertEquals(0, new java.math.BigDecimal("3.175").compareTo(read.tool().size("TP")));
    assertEquals("68.947572931684", read.tool().size("CP").toPlainString());
    assertTrue(read.findings().getFirst().message().contains("tpi does not measure"));
    assertEquals(List.of("DC"), read.findings().getFirst().properties());
  }

  @Test
  void elementsOfAListThatAreNoToolsAreLinesOfTheirOwn() throws IOException {
    List<RawItem> lines =
        read(
            ("{\"format\":\"arbor-line-tools\",\"tools\":[null,{\"code\":\"A1\"},7,[1],"
                    + "{\"code\":\"A2\",\"name\":null,\"values\":{\"DC\":null,\"OAL\":[72]}}]}")
                .getBytes());
    assertEquals(5, lines.size());
    assertEquals(
        "null stands where a tool should be", lines.get(0).findings().getFirst().message());
    assertEquals("A1", lines.get(1).text("CODE"));
    assertEquals("", lines.get(4).text("NAME"));
    assertEquals("not-a-value", lines.get(4).findings().getFirst().code());
    assertEquals("", lines.get(4).text("DC"));
  }

  @Test
  void aJsonFileThatIsCutOffBehindItsListIsSaidToBe() {
    assertThrows(
        UnreadableFileException.class,
        () -> read("{\"format\":\"arbor-line-tools\",\"tools\":[{\"code\":\"A1\"}]".getBytes()));
  }

  private static java.util.TreeMap<String, Cell> cells(String symbol, String text) {
    return new java.util.TreeMap<>(java.util.Map.of(symbol, Cell.of(text)));
  }
}
