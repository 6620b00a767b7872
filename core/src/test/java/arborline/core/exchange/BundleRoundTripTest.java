package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.cutting.CuttingEntry;
import arborline.core.cutting.CuttingField;
import arborline.core.cutting.CuttingOrigin;
import arborline.core.formula.ValueFormula;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.stack.Component;
import arborline.core.stack.Frustum;
import arborline.core.stack.Material;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What goes out as a bundle comes back as the same bundle, or the loss report says what does not.
 */
class BundleRoundTripTest {

  private static final List<String> PATHS = List.of("models/chuck.step", "chuck.png");

  private static final Component CHUCK =
      new Component(
          "BH-ER32",
          "Collet chuck",
          Component.Kind.HOLDER,
          "ST-JD-40:m",
          "CO-A-32:f",
          List.of(Frustum.of("27", "63", "63"), Frustum.of("73", "50", "45")),
          Material.STEEL,
          BigDecimal.ZERO,
          Optional.empty(),
          new TreeMap<>(Map.of("RPMX", "20000 1/min", "LF", "100 mm")));

  private static final Component COLLET =
      new Component(
          "BC-ER32-10",
          "Collet 10",
          Component.Kind.COLLET,
          "CO-A-32:m",
          "CY-RG-9..10:f",
          List.of(),
          Material.STEEL,
          new BigDecimal("20"));

  private static CuttingEntry proven() {
    return new CuttingEntry(
        "m-duplex",
        "1.4462",
        "slot, \"deep\"",
        new BigDecimal("72.5"),
        new BigDecimal("0.045"),
        new BigDecimal("8"),
        new BigDecimal("10"),
        "flood",
        CuttingOrigin.PROVEN,
        "toolroom",
        Optional.of(Instant.parse("2026-03-02T07:15:00Z")),
        "M1",
        Optional.of(new BigDecimal("60")),
        Optional.of(new BigDecimal("0.04")),
        new TreeMap<>());
  }

  private static CuttingEntry following() {
    return new CuttingEntry(
        "n-bronze",
        "",
        "rough",
        new BigDecimal("160"),
        new BigDecimal("0.06"),
        new BigDecimal("5"),
        BigDecimal.ZERO,
        "",
        CuttingOrigin.CATALOGUE,
        "",
        Optional.empty(),
        "",
        Optional.empty(),
        Optional.empty(),
        new TreeMap<>(
            Map.of(CuttingField.AP, ValueFormula.read("DC / 2").formula().orElseThrow())));
  }

  static Bundle mill() {
    Tool plain =
        Sample.tool("CLASS=end-mill-flat CODE=M-10 DC=10 APMX=22 OAL=72 DMM=10 NOF=4")
            .noted(new TreeMap<>(Map.of("", "keep dry", "Shelf", "C3, left")));
    RawItem withFormula =
        RawItem.of(plain)
            .with(Map.of("LU", new Cell("", Optional.empty(), false, Optional.of("APMX + 2"))));
    return new Bundle(
        Interpreter.interpret(withFormula).tool(),
        OptionalInt.of(12),
        "Roughing",
        List.of("attachments/3fa2/photo, front.png", "M-10.pdf"),
        List.of(proven(), following()),
        List.of(
            new PlannedStack(
                "long", "ST-JD-40:f", new BigDecimal("35.5"), List.of("BH-ER32", "BC-ER32-10"))));
  }

  /** A tool, its parts, and another tool with nothing to it. */
  static byte[] file(String format) throws IOException {
    Bundle drill =
        new Bundle(
            Sample.tool("CLASS=twist-drill CODE=D-8 DC=8 LCF=40 OAL=90 DMM=8 SIG=140 NOF=2"),
            OptionalInt.of(13));
    Contents.Survey survey = new Contents.Survey();
    BundlePart chuck = new BundlePart(CHUCK, PATHS);
    BundlePart collet = new BundlePart(COLLET, List.of());
    List.of(chuck, collet).forEach(survey::add);
    List.of(mill(), drill).forEach(survey::add);
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    try (BundleSink sink =
        BundleFormats.named(format)
            .orElseThrow()
            .create(file, new WriteOptions("Shop", survey.contents(), Optional.empty()))) {
      sink.part(chuck);
      sink.part(collet);
      sink.write(mill());
      sink.write(drill);
    }
    return file.toByteArray();
  }

  static List<Inspected> read(byte[] file) throws IOException {
    byte[] head = Arrays.copyOf(file, Math.min(file.length, 65536));
    List<Inspected> read = new ArrayList<>();
    try (Grouping grouping =
        new Grouping(
            BundleFormats.recognise(head)
                .open(new ByteArrayInputStream(file), head, TableReading.propose(head)))) {
      for (Optional<RawBundle> next = grouping.next(); next.isPresent(); next = grouping.next()) {
        read.add(Inspector.inspect(next.get()));
      }
    }
    return read;
  }

  @ParameterizedTest
  @ValueSource(strings = {"csv", "json", "xlsx", "text", "p21", "mtconnect"})
  void partsToolCuttingDataStacksAndNotesComeBack(String format) throws IOException {
    List<Inspected> back = read(file(format));
    assertEquals(
        List.of("holder BH-ER32", "collet BC-ER32-10", "cutter M-10", "cutter D-8"),
        back.stream().map(item -> item.kind().word() + " " + item.tool().code()).toList());
    assertEquals(Optional.of(CHUCK), back.get(0).component());
    assertEquals(PATHS, PathList.read(back.get(0).raw().item().text(RawItem.ATTACHMENT)));
    assertEquals(Optional.of(COLLET), back.get(1).component());
    Inspected mill = back.get(2);
    assertEquals(mill().tool().notes(), mill.tool().notes());
    assertEquals(mill().stacks(), mill.stacks());
    assertEquals(proven(), mill.cutting().getFirst());
    assertEquals("Roughing", mill.raw().item().text(RawItem.SECTION));
    assertEquals(OptionalInt.of(12), mill.number());
    assertEquals(0, mill.tool().size("LU").compareTo(new BigDecimal("24")));
    assertEquals(List.of(), back.get(3).cutting());
  }

  @Test
  void jsonCarriesFormulasAndTheyGoOnWorking() throws IOException {
    Inspected mill = read(file("json")).get(2);
    assertEquals(mill().tool(), mill.tool());
    assertEquals(mill().cutting(), mill.cutting());
    RawItem longer = RawItem.of(mill.tool()).with(Map.of("APMX", Cell.of("30")));
    assertEquals(
        0, Interpreter.interpret(longer).tool().size("LU").compareTo(new BigDecimal("32")));
  }

  @Test
  void whatATableCannotCarryIsSaidBefore() {
    LossReport report = new LossReport();
    WriteOptions options = new WriteOptions("Shop", Contents.of(List.of()), Optional.empty());
    new Losses(BundleFormats.named("csv").orElseThrow(), options, report).of(mill());
    assertEquals(
        List.of(
            "LU: = APMX + 2: the formula is dropped, its result is written",
            "AP: = DC / 2: the formula is dropped, its result is written"),
        report.losses().stream().map(loss -> loss.symbol() + ": " + loss.how()).toList());
  }

  @Test
  void aRepeatedKeyWithNothingNewIsOneToolWithSeveralCuttingLines() throws IOException {
    String table =
        "CODE,CLASS,DC,APMX,OAL,DMM,NOF,MATERIAL,VC,FZ\n"
            + "A,end-mill-flat,10,22,72,10,4,1.4462,70,0.04\n"
            + "A,end-mill-flat,10,22,72,10,4,CuSn12,150,0.06\n"
            + ",,,,,,,EN AW-6082,400,0.08\n"
            + "B,end-mill-flat,12,26,83,12,4,CuSn12,150,0.07\n"
            + "B,end-mill-flat,12,30,83,12,4,1.4462,60,0.05\n";
    List<Inspected> back = read(table.getBytes());
    assertEquals(
        List.of("2 A 3", "5 B 1", "6 B 1"),
        back.stream()
            .map(item ->
                "%d %s %d"
                    .formatted(item.raw().item().line(), item.tool().code(), item.cutting().size()))
            .toList());
    assertEquals("m-duplex", back.getFirst().cutting().getFirst().material());
    assertEquals("1.4462", back.getFirst().cutting().getFirst().grade());
  }

  @Test
  void rotationAndFeedRateBecomeSpeedAndFeed() throws IOException {
    String table =
        "CODE,CLASS,DC,APMX,OAL,DMM,NOF,MATERIAL,N [1/min],VF [mm/min]\n"
            + "A,end-mill-flat,10,22,72,10,4,1.4462,2000,320\n";
    CuttingEntry entry = read(table.getBytes()).getFirst().cutting().getFirst();
    assertEquals("62.832", entry.speed().toPlainString());
    assertEquals("0.04", entry.feed().toPlainString());
  }

  @Test
  void feedPerEdgeOfADrillBecomesFeedPerRevolution() throws IOException {
    String table =
        "CODE,CLASS,DC,LCF,OAL,DMM,SIG,NOF,MATERIAL,VC,FZ\n"
            + "D,twist-drill,8.5,60,103,9,140,2,1.4462,45,0.06\n";
    assertEquals(
        "0.12", read(table.getBytes()).getFirst().cutting().getFirst().feed().toPlainString());
  }

  @Test
  void aCircleOfFormulasIsHeldAndNamed() {
    RawItem circular =
        RawItem.of(mill().tool())
            .with(Map.of("APMX", new Cell("", Optional.empty(), false, Optional.of("LU - 2"))));
    Inspected inspected = Inspector.inspect(circular);
    assertTrue(
        inspected.findings().stream()
            .anyMatch(found ->
                found.code().equals("formula-circle")
                    && found.message().startsWith("APMX follows LU, LU follows APMX")),
        inspected.findings().toString());
  }
}
