package arborline.core.convert;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.BundleFormats;
import arborline.core.quantity.Unit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class FileConversionTest {

  private static final Path LISTS = Path.of("src/test/resources/vectors/lists");

  @TempDir private Path folder;

  private ConversionReport convert(Path source, String format, Optional<Unit> unit)
      throws IOException {
    return FileConversion.convert(
        source,
        source.getFileName().toString(),
        BundleFormats.named(format).orElseThrow(),
        unit,
        folder.resolve("out." + format),
        "out." + format);
  }

  private Path file(String name, String content) throws IOException {
    return Files.writeString(folder.resolve(name), content);
  }

  /** A holder, a mill that follows a formula, its cutting data far from it. */
  private static final String BUNDLES =
      """
      KIND,CODE,CLASS,NUMBER,DC,APMX,LU,OAL,DMM,NOF,CCMS,CCWS,BODIES,LSC,MATERIAL,VC,FZ,SEAT,PARTS,NOTE:Shelf
      cutting,M-1,,,,,,,,,,,,,POM-C,300,0.1,,,
      cutter,M-1,end-mill-flat,7,10,22,APMX + 2,72,10,4,,,,,1.4462,70,0.04,,,C3
      stack,M-1,,,,,,,,,,,,,,,,ST-JD-40:f,H-1,
      holder,H-1,,,,,,,,,ST-JD-40:m,CY-SF-10:f,27 x 63; 53 x 32-24,31,,,,,,
      cutter,,end-mill-flat,8,12,26,,83,12,4,,,,,,,,,,
      cutter,M-1,end-mill-flat,9,12,26,,83,12,4,,,,,,,,,,
      cutter,M-2,end-mill-flat,10,x2,26,,83,12,4,,,,,,,,,,
      """;

  @ParameterizedTest
  @ValueSource(strings = {"csv", "json", "text"})
  void wholeBundlesAreWrittenAndProved(String format) throws IOException {
    ConversionReport report = convert(file("bundles.csv", BUNDLES), format, Optional.empty());
    assertEquals(List.of(), report.proof().differences());
    assertTrue(report.proof().equal());
    assertEquals(5, report.read());
    assertEquals(3, report.written());
    assertEquals(3, report.proof().compared());
    assertEquals(
        List.of("6 no code is given", "7 another tool stands under this code already"),
        report.left().stream().map(one -> one.line() + " " + one.reason()).toList());
    assertEquals(
        format.equals("csv") ? List.of("M-1 LU", "M-2 DC") : List.of("M-2 DC"),
        report.losses().stream().map(loss -> loss.code() + " " + loss.symbol()).toList());
    String written = Files.readString(folder.resolve("out." + format));
    assertTrue(written.contains("POM-C"), written);
    assertTrue(written.contains("27 x 63; 53 x 32-24"), written);
  }

  @Test
  void whatIsRoundedInInchesIsSaidAndTheRestIsEqual() throws IOException {
    String table = "CODE,CLASS,DC,APMX,OAL,DMM,NOF\nA,end-mill-flat,12.7,22,76.2,12.7,4\n";
    ConversionReport report = convert(file("mm.csv", table), "csv", Optional.of(Unit.INCH));
    assertTrue(report.proof().equal(), report.proof().differences().toString());
    assertEquals(List.of("APMX"), report.losses().stream().map(loss -> loss.symbol()).toList());
    assertTrue(Files.readString(folder.resolve("out.csv")).contains("0.5"));
  }

  @Test
  void convertedThereAndBackNothingIsLost() throws IOException {
    String table = "CODE,CLASS,DC,APMX,OAL,DMM,NOF\nA,end-mill-flat,10.05,22,72,10,4\n";
    convert(file("mm.csv", table), "json", Optional.of(Unit.INCH));
    Path there = Files.move(folder.resolve("out.json"), folder.resolve("there.json"));
    convert(there, "csv", Optional.of(Unit.MILLIMETRE));
    assertTrue(
        Files.readString(folder.resolve("out.csv")).contains("10.05"),
        Files.readString(folder.resolve("out.csv")));
  }

  static Stream<Arguments> listsAndFormats() throws IOException {
    try (Stream<Path> files = Files.list(LISTS)) {
      List<Path> lists =
          files
              .filter(file -> file.toString().matches(".*\\.(?:csv|tsv|txt|xlsx|xml)"))
              .sorted()
              .toList();
      return lists.stream()
          .flatMap(
              list -> BundleFormats.all().stream().map(format -> Arguments.of(list, format.id())))
          .toList()
          .stream();
    }
  }

  @ParameterizedTest
  @MethodSource("listsAndFormats")
  void foreignListsAreConvertedAndProved(Path list, String format) throws IOException {
    ConversionReport report = convert(list, format, Optional.empty());
    assertEquals(List.of(), report.proof().differences());
    assertTrue(report.proof().equal());
    assertEquals(report.read(), report.written() + report.left().size());
    assertTrue(report.written() > 3);
  }

  @ParameterizedTest
  @ValueSource(strings = {"csv", "json", "xlsx", "text", "p21", "mtconnect"})
  void everyFormatIsProvedInInchesToo(String format) throws IOException {
    ConversionReport report = convert(file("bundles.csv", BUNDLES), format, Optional.of(Unit.INCH));
    assertEquals(List.of(), report.proof().differences());
    assertEquals(3, report.proof().compared());
  }

  @Test
  void aFileOfWhichNothingIsReadIsSaidToBe() throws IOException {
    ConversionReport report = convert(file("x.json", "{\"tools\": 1}"), "csv", Optional.empty());
    assertEquals("", report.output());
    assertTrue(report.problem().startsWith("line 1: no list of tools"), report.problem());
    assertFalse(report.proof().equal());
  }
}
