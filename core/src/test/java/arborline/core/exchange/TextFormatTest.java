package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.inspect.Inspected;
import arborline.core.quantity.Unit;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class TextFormatTest {

  private static final String HEAD = "ARBOR-LINE-TEXT 1 | Shop\n";

  private static List<Inspected> read(String text) throws IOException {
    return BundleRoundTripTest.read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static String written(Tool... tools) throws IOException {
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    WriteOptions options = new WriteOptions("Shop", Contents.of(List.of()), Optional.empty());
    try (BundleSink sink = BundleFormats.named("text").orElseThrow().create(file, options)) {
      for (Tool tool : tools) {
        sink.write(new Bundle(tool, OptionalInt.empty()));
      }
    }
    return file.toString(StandardCharsets.UTF_8);
  }

  @Test
  void eachClassNamesItsColumnsOnce() throws IOException {
    String text =
        written(
            Sample.tool("CLASS=end-mill-flat CODE=M-10 DC=10 NOF=4"),
            Sample.tool("CLASS=twist-drill CODE=D-8 DC=8 SIG=140"),
            Sample.tool("CLASS=end-mill-flat CODE=M-12 DC=12"));
    assertEquals(
        HEAD
            + "columns end-mill-flat | CODE | DC [mm] | NOF\n"
            + "end-mill-flat | M-10 | 10 | 4\n"
            + "columns drill-twist | CODE | DC [mm] | SIG [deg]\n"
            + "drill-twist | D-8 | 8 | 140\n"
            + "end-mill-flat | M-12 | 12\n",
        text);
  }

  @Test
  void signsThatPartCellsMayStandInTexts() throws IOException {
    String nasty = "a|b \\ c\nd\te~";
    Tool tool =
        Sample.tool("CLASS=end-mill-flat CODE=M-10 DC=10")
            .noted(new TreeMap<>(Map.of("", nasty, "x|y", "=1+1")));
    Tool back = read(written(tool)).getFirst().tool();
    assertEquals(tool.notes(), back.notes());
  }

  @Test
  void formulasAndUnconfirmedValuesAreMarked() throws IOException {
    List<Inspected> read =
        read(
            HEAD
                + "columns end-mill-flat | CODE | DC [mm] | APMX [mm] | LU [mm] | OAL [mm]\n"
                + "end-mill-flat | A | 10 | 22 | = APMX + 2 | 72 ~\n"
                + "end-mill-flat | B | 1/2 in | 1 in | =[in] APMX + 0.5 | 3 in\n");
    Tool first = read.get(0).tool();
    assertEquals(0, first.size("LU").intValue() - 24);
    assertTrue(first.values().get("OAL").defaulted());
    Inspected second = read.get(1);
    assertEquals("1.5", second.tool().values().get("LU").text());
    assertEquals("38.1", second.tool().size("LU").stripTrailingZeros().toPlainString());
  }

  @Test
  void aFileThatIsCutDownKeepsWhatBelongsTogether() throws IOException {
    String whole = new String(BundleRoundTripTest.file("text"), StandardCharsets.UTF_8);
    String cut =
        Arrays.stream(whole.split("\n"))
            .filter(line -> !line.startsWith("drill-twist") && !line.startsWith("collet"))
            .collect(Collectors.joining("\n"));
    List<Inspected> read = read(cut);
    assertEquals(
        List.of("BH-ER32", "M-10"), read.stream().map(item -> item.tool().code()).toList());
    assertEquals(2, read.get(1).cutting().size());
  }

  @Test
  void whatHasNoColumnsIsHeldAndRemarksArePassedOver() throws IOException {
    List<Inspected> read =
        read(HEAD + "# a remark\ncolumns drill | CODE\nmill | A | 10\ndrill | B | 8\n");
    assertEquals("kind-undeclared", read.get(1).findings().getFirst().code());
    assertTrue(
        read.get(2).findings().stream().anyMatch(found -> found.code().equals("cell-count")));
  }

  @Test
  void aLaterVersionIsRefused() {
    UnreadableFileException refused =
        assertThrows(UnreadableFileException.class, () -> read("ARBOR-LINE-TEXT 2 | x\n"));
    assertTrue(refused.getMessage().contains("version '2'"));
  }

  @Test
  void unitsOfTheFirstToolHeadTheColumn() throws IOException {
    Tool inch = Sample.tool("CLASS=end-mill-flat CODE=A DC=10");
    Tool other =
        Interpreter.interpret(
                RawItem.of(inch)
                    .with(Map.of("DC", Cell.of("1/2", Unit.INCH), "CODE", Cell.of("B"))))
            .tool();
    List<Inspected> read = read(written(inch, other));
    assertEquals(other, read.get(1).tool());
  }
}
