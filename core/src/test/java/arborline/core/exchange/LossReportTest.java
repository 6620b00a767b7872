package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Unit;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LossReportTest {

  private static Bundle tool(String symbol, Cell cell) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put("CODE", Cell.of("L-1"));
    cells.put("CLASS", Cell.of("end-mill-flat"));
    cells.put(symbol, cell);
    return new Bundle(
        Interpreter.interpret(new RawItem(1, cells, List.of())).tool(), OptionalInt.of(7));
  }

  private static LossReport losses(String format, Bundle tool, Optional<Unit> unit) {
    LossReport report = new LossReport();
    new Losses(
            BundleFormats.named(format).orElseThrow(),
            new WriteOptions("Losses", Contents.of(List.of("DC")), unit),
            report)
        .of(tool);
    return report;
  }

  @Test
  void millimetresThatHaveNoFiniteInchFormAreReported() {
    LossReport report =
        losses("csv", tool("DC", new Cell("10", Optional.of(Unit.MILLIMETRE), false)), inch());
    assertEquals(1, report.count());
    assertEquals("DC", report.losses().getFirst().symbol());
  }

  @Test
  void inchesBecomeMillimetresWithoutLoss() {
    Bundle half = tool("DC", new Cell("1/2", Optional.of(Unit.INCH), false));
    assertEquals(0, losses("csv", half, Optional.of(Unit.MILLIMETRE)).count());
  }

  @Test
  void aTableCannotCarryThatAValueIsOnlyADefaultButJsonCan() {
    Bundle assumed = tool("NOF", new Cell("4", Optional.empty(), true));
    assertEquals(1, losses("csv", assumed, Optional.empty()).count());
    assertEquals(0, losses("json", assumed, Optional.empty()).count());
  }

  @Test
  void onlyTheFirstThousandAreListedButAllAreCounted() {
    LossReport report = new LossReport();
    for (int i = 0; i < 1500; i++) {
      report.dropped("T-" + i, "DC", "is dropped");
    }
    assertEquals(1500, report.count());
    assertEquals(1000, report.losses().size());
  }

  /** A cell that a spreadsheet would run as a formula arrives as text. */
  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "+cmd", "-2+3", "@sum", "\t=1"})
  void formulasAreDisarmedInTables(String name) throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    Bundle tool = tool("DC", Cell.of("10"));
    try (BundleSink sink =
        BundleFormats.named("csv")
            .orElseThrow()
            .create(
                file, new WriteOptions("Losses", Contents.of(List.of("DC")), Optional.empty()))) {
      sink.write(new Bundle(tool.tool().named("L-1", name), OptionalInt.empty()));
    }
    String line = file.toString(StandardCharsets.UTF_8).lines().toList().get(1);
    assertTrue(line.contains("'" + name), line);
  }

  @Test
  void lossesAreCountedByWhatHappensToWhichProperty() {
    LossReport report = new LossReport();
    WriteOptions options = new WriteOptions("Losses", Contents.of(List.of("DC")), inch());
    Losses losses = new Losses(BundleFormats.named("csv").orElseThrow(), options, report);
    for (String size : List.of("10", "11", "12", "12.7", "13")) {
      losses.of(tool("DC", Cell.of(size)));
    }
    assertEquals(1, report.groups().size());
    LossReport.LossGroup group = report.groups().getFirst();
    assertEquals(LossReport.Kind.ROUNDED, group.kind());
    assertEquals(4, group.count());
    assertEquals("is rounded to 12 decimals in inches", group.what());
    assertEquals(3, group.examples().size());
  }

  private static Optional<Unit> inch() {
    return Optional.of(Unit.INCH);
  }
}
