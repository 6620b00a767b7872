package arborline.core.recipe;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Cell;
import arborline.core.exchange.Contents;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.LossReport;
import arborline.core.exchange.Losses;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.WriteOptions;
import arborline.core.finding.Finding;
import arborline.core.inspect.ContentHash;
import arborline.core.quantity.Unit;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.dhatim.fastexcel.Worksheet;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.junit.jupiter.api.Test;

/** Workbooks that we write, as spreadsheet programs and people send them back. */
class OwnWorkbookTest {

  private static final BundleFormat XLSX = BundleFormats.named("xlsx").orElseThrow();
  private static final Tool MILL =
      Interpreter.interpret(
              RawItem.of(Sample.tool("CLASS=end-mill-flat CODE=M-10 DC=10.00 OAL=72 DMM=10 NOF=4"))
                  .with(
                      Map.of(
                          "APMX", Cell.of("7/8", Unit.INCH),
                          "LU", formula("DC * 3 + 2"),
                          "LH", formula("APMX + 2"))))
          .tool();

  private static Cell formula(String text) {
    return new Cell("", Optional.of(Unit.MILLIMETRE), false, Optional.of(text));
  }

  private static WriteOptions options(Bundle... bundles) {
    Contents.Survey survey = new Contents.Survey();
    List.of(bundles).forEach(survey::add);
    return new WriteOptions("Shop", survey.contents(), Optional.empty());
  }

  private static byte[] written(Tool tool) throws IOException {
    Bundle bundle = new Bundle(tool, OptionalInt.of(7));
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (BundleSink sink = XLSX.create(file, options(bundle))) {
      sink.write(bundle);
    }
    return file.toByteArray();
  }

  private static List<RawItem> read(byte[] file) throws IOException {
    byte[] head = Arrays.copyOf(file, Math.min(file.length, 65536));
    List<RawItem> items = new ArrayList<>();
    try (ItemSource source =
        BundleFormats.recognise(head)
            .open(new ByteArrayInputStream(file), head, TableReading.propose(head))) {
      for (Optional<RawItem> next = source.next(); next.isPresent(); next = source.next()) {
        items.add(next.get());
      }
    }
    return items;
  }

  /** A sheet as a person makes it. */
  private interface Filling {
    void fill(Worksheet sheet);
  }

  private static List<RawItem> filled(Filling filling) throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (var workbook = new org.dhatim.fastexcel.Workbook(file, "test", "1.0")) {
      filling.fill(workbook.newWorksheet("Tools"));
    }
    return read(file.toByteArray());
  }

  private static void row(Worksheet sheet, int row, String... cells) {
    for (int i = 0; i < cells.length; i++) {
      sheet.value(row, i, cells[i]);
    }
  }

  private static List<String> codes(RawItem item) {
    return item.findings().stream().map(Finding::code).toList();
  }

  @Test
  void decimalsFractionsAndWorkingFormulasComeBackAsTheyWere() throws IOException {
    Tool back = Interpreter.interpret(read(written(MILL)).getFirst()).tool();
    assertEquals("10.00", back.values().get("DC").text());
    assertEquals("7/8", back.values().get("APMX").text());
    assertEquals(MILL.values().get("LU"), back.values().get("LU"));
  }

  @Test
  void aFormulaOverAnotherUnitIsSaidToBecomeANumber() throws IOException {
    LossReport losses = new LossReport();
    Bundle bundle = new Bundle(MILL, OptionalInt.of(7));
    new Losses(XLSX, options(bundle), losses).of(bundle);
    assertEquals(
        List.of("LH: = APMX + 2: the formula is dropped, its result is written"),
        losses.losses().stream().map(loss -> loss.symbol() + ": " + loss.how()).toList());
    Tool back = Interpreter.interpret(read(written(MILL)).getFirst()).tool();
    assertEquals("24.225", back.values().get("LH").text());
  }

  @Test
  void withoutFormulasTheContentIsTheSame() throws IOException {
    Tool plain = Sample.tool("CLASS=twist-drill CODE=D-8 DC=8.10 LCF=40 OAL=90 DMM=8 SIG=140");
    Tool back = Interpreter.interpret(read(written(plain)).getFirst()).tool();
    assertEquals(ContentHash.of(plain), ContentHash.of(back));
  }

  @Test
  void theFirstSheetTellsHowToFillInAndTheListsAreHidden() throws IOException {
    try (var workbook = new ReadableWorkbook(new ByteArrayInputStream(written(MILL)))) {
      assertEquals(
          List.of("Guide", "Parts", "Tools", "Cutting data", "Stacks", "Lists"),
          workbook.getSheets().map(sheet -> sheet.getName()).toList());
    }
  }

  @Test
  void columnsMayStandInAnyOrderWithAnyTextBehindTheSymbol() throws IOException {
    List<RawItem> items =
        filled(sheet -> {
          row(sheet, 0, "DC: Durchmesser [in]", "Shelf", "CODE: our number", "CLASS");
          row(sheet, 1, "1/2", "C3", "A-1", "end-mill-flat");
        });
    assertEquals(Cell.of("1/2", Unit.INCH), items.getFirst().cells().get("DC"));
    assertEquals("A-1", items.getFirst().text("CODE"));
    assertEquals("C3", items.getFirst().text("NOTE:Shelf"));
  }

  @Test
  void numbersThatWereMadeTextsWithACommaAreRead() throws IOException {
    List<RawItem> items =
        filled(sheet -> {
          row(sheet, 0, "CODE", "CLASS", "DC [mm]", "OAL [mm]");
          row(sheet, 1, "A-1", "end-mill-flat", "12,5", "1.072,0");
          row(sheet, 2, "A-2", "end-mill-flat", "12,700", "72");
        });
    assertEquals("12.5", items.get(0).text("DC"));
    assertEquals("1072.0", items.get(0).text("OAL"));
    assertEquals("12.700", items.get(1).text("DC"));
  }

  @Test
  void aDayWhereANumberWasIsHeldAndWhatWasTypedIsOfferedBack() throws IOException {
    List<RawItem> items =
        filled(sheet -> {
          row(sheet, 0, "CODE", "CLASS", "DC [mm]", "OAL [in]");
          row(sheet, 1, "A-1", "end-mill-flat");
          sheet.value(1, 2, LocalDate.of(2026, 3, 5));
          sheet.style(1, 2).format("dd.mm.yyyy").set();
          sheet.value(1, 3, LocalDate.of(2026, 3, 8));
          sheet.style(1, 3).format("yyyy-mm-dd").set();
        });
    List<String> offered =
        items.getFirst().findings().stream()
            .map(finding -> finding.repair().orElseThrow().changes().toString())
            .toList();
    assertEquals(List.of("{DC=5.3}", "{OAL=3/8 in}"), offered);
  }

  @Test
  void aFormulaOverOtherRowsGivesItsValueOrIsHeld() throws IOException {
    RawItem item =
        filled(
                sheet -> {
                  row(sheet, 0, "CODE", "CLASS", "DC [mm]", "OAL [mm]");
                  row(sheet, 1, "A-1", "end-mill-flat");
                  sheet.value(1, 2, 10);
                  sheet.formula(1, 3, "C1*7");
                })
            .getFirst();
    assertEquals(List.of("formula-without-value"), codes(item));
    assertTrue(item.findings().getFirst().message().contains("=C1*7"));
  }

  @Test
  void aHiddenSheetIsNotReadAndSaid() throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (var workbook = new org.dhatim.fastexcel.Workbook(file, "test", "1.0")) {
      Worksheet seen = workbook.newWorksheet("Tools");
      row(seen, 0, "CODE", "CLASS", "DC [mm]");
      row(seen, 1, "A-1", "end-mill-flat", "8");
      Worksheet hidden = workbook.newWorksheet("Old prices");
      row(hidden, 0, "CODE", "CLASS", "DC [mm]");
      row(hidden, 1, "B-1", "end-mill-flat", "9");
      hidden.setVisibilityState(org.dhatim.fastexcel.VisibilityState.HIDDEN);
    }
    List<RawItem> items = read(file.toByteArray());
    assertEquals(2, items.size());
    assertEquals("hidden sheets are not read: Old prices", items.getFirst().text("NOTE"));
    assertEquals("A-1", items.getLast().text("CODE"));
  }
}
