package arborline.core.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Severity;
import arborline.core.part21.VendorProperties;
import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Solids without data as items of a delivery. */
class SolidItemTest {

  private static RawItem item(String name) throws IOException {
    InputStream file = SolidItemTest.class.getResourceAsStream("/vectors/step/" + name + ".step");
    try (SolidSource source =
        new SolidSource(
            "tray/" + name + ".step",
            file,
            new VendorProperties(),
            new byte[0],
            NamedShape.Known.NONE)) {
      RawItem item = source.next().orElseThrow();
      assertTrue(source.next().isEmpty());
      return item;
    }
  }

  @Test
  void aCutterHasItsClassAndSizesAndItsModel() throws IOException {
    RawItem drill = item("g01-drill-metres");
    assertEquals(ItemKind.CUTTER, drill.kind());
    assertEquals("g01-drill-metres", drill.text(RawItem.CODE));
    assertEquals("tray/g01-drill-metres.step", drill.text(RawItem.ATTACHMENT));
    assertEquals("drill-twist", drill.text(RawItem.CLASS));
    assertEquals("11.8", drill.text("DC"));
    assertEquals("12", drill.text("DMM"));
    assertEquals("118", drill.text("OAL"));
    assertEquals("140", drill.text("SIG"));
  }

  @Test
  void aHolderHasItsBodiesInFrontOfTheGaugePlane() throws IOException {
    RawItem holder = item("g07-holder-7-24");
    assertEquals(ItemKind.HOLDER, holder.kind());
    assertEquals("ST-A-40:m", holder.text(PartReading.MACHINE_SIDE));
    assertEquals("85", holder.text("LF"));
    assertTrue(
        holder
            .text(PartReading.BODIES)
            .startsWith("3.2 x 44.45; 2.4 x 63.55; 2.757 x 63.55-54; 5.486 x 54"),
        holder.text(PartReading.BODIES));
    assertTrue(
        holder.text(PartReading.BODIES).endsWith("37 x 36; 1 x 36-34"),
        holder.text(PartReading.BODIES));
  }

  private static RawItem turned(Point... half) throws IOException {
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "part", List.of(half), Instant.EPOCH);
    byte[] content = file.toString().getBytes(StandardCharsets.US_ASCII);
    return SolidItem.of("part.step", SolidReading.read(content), Optional.empty());
  }

  @Test
  void aDrillWithAWiderShankHasNoStep() throws IOException {
    RawItem drill =
        turned(
            new Point(0, 2.8),
            new Point(0.2, 3),
            new Point(36, 3),
            new Point(38, 2.5),
            new Point(64, 2.5),
            new Point(65.5024, 0));
    assertEquals("drill-twist", drill.text(RawItem.CLASS));
    assertEquals("5", drill.text("DC"));
    assertEquals("6", drill.text("DMM"));
  }

  private static byte[] rod(double diameter, double length) throws IOException {
    StringBuilder file = new StringBuilder();
    List<Point> half = List.of(new Point(0, diameter / 2), new Point(length, diameter / 2));
    StepSolid.write(file, "rod", half, Instant.EPOCH);
    return file.toString().getBytes(StandardCharsets.US_ASCII);
  }

  @Test
  void whatSomebodyNamedIsProposedForOthersOfItsShape() throws IOException {
    SolidReading small = SolidReading.read(rod(6, 50));
    SolidReading large = SolidReading.read(rod(12, 90));
    assertEquals(ShapeKey.of(small), ShapeKey.of(large));
    RawItem reamer =
        SolidItem.of(
            "large.step", large, Optional.of(new NamedShape(ItemKind.CUTTER, "reamer", false)));
    assertEquals("reamer", reamer.text(RawItem.CLASS));
    assertEquals("12", reamer.text("DC"));
    assertTrue(reamer.findings().getFirst().message().contains("was said to be a reamer"));
    RawItem arbor =
        SolidItem.of("large.step", large, Optional.of(new NamedShape(ItemKind.ARBOR, "", false)));
    assertEquals(ItemKind.ARBOR, arbor.kind());
    assertEquals("90 x 12", arbor.text(PartReading.BODIES));
  }

  @Test
  void otherShapesHaveOtherKeys() throws IOException {
    assertTrue(
        !ShapeKey.of(SolidReading.read(rod(6, 50)))
            .equals(ShapeKey.of(SolidReading.read(SolidShapesTest.file("ball.step")))));
  }

  @Test
  void aStepDrillHasItsStepsFromTheSmallestOn() throws IOException {
    RawItem drill = item("g05-step-drill-turned-surfaces");
    assertEquals("drill-step", drill.text(RawItem.CLASS));
    assertEquals("6.8", drill.text("DC"));
    assertEquals("10.2", drill.text("DC1"));
    assertEquals("32", drill.text("SDL1"));
    assertEquals("90", drill.text("STA1"));
    assertEquals("118", drill.text("SIG"));
    assertEquals("14", drill.text("DMM"));
  }

  @Test
  void aPlainRodHasNoCuttingLength() throws IOException {
    RawItem rod = turned(new Point(0, 2.8), new Point(0.2, 3), new Point(57, 3));
    assertEquals("", rod.text("APMX"));
    RawItem necked =
        turned(
            new Point(0, 5),
            new Point(42, 5),
            new Point(42, 4.7),
            new Point(50, 4.7),
            new Point(50, 5),
            new Point(72, 5));
    assertEquals("22", necked.text("APMX"));
    assertEquals("9.4", necked.text("DN"));
  }

  @Test
  void aThreadWiderThanItsShankWithALeadIsATap() throws IOException {
    RawItem tap =
        turned(
            new Point(0, 4.5),
            new Point(80, 4.5),
            new Point(82, 6),
            new Point(105, 6),
            new Point(110, 4.6));
    assertEquals("tap-cutting", tap.text(RawItem.CLASS));
    assertEquals("12", tap.text("TD"));
  }

  @Test
  void anInsertHasItsPlan() throws IOException {
    RawItem insert = item("g11-insert-80");
    assertEquals(ItemKind.INSERT, insert.kind());
    assertEquals("C", insert.text("SC"));
    assertEquals("12.7", insert.text("IC"));
    assertEquals("4.76", insert.text("S"));
    assertEquals("0.8", insert.text("RE"));
    assertEquals("5.16", insert.text("D1"));
  }

  @Test
  void aTurningHolderHasItsShankAndIsAsked() throws IOException {
    RawItem holder = item("g10-turning-holder");
    assertEquals("25", holder.text("B"));
    assertEquals("32", holder.text("H"));
    assertEquals("150", holder.text("OAL"));
    assertTrue(
        holder.findings().stream()
            .anyMatch(finding ->
                finding.code().equals("solid-proposed") && finding.severity() == Severity.QUERY));
  }

  @Test
  void whatASolidDoesNotTellIsAsked() throws IOException {
    RawItem cube = item("g08-cube");
    assertEquals("", cube.text(RawItem.CLASS));
    assertTrue(
        cube.findings().stream()
            .anyMatch(finding ->
                finding.code().equals("solid-unknown") && finding.severity() == Severity.QUERY));
    RawItem open = item("g14-tapered-open-shell");
    assertTrue(
        open.findings().stream()
            .anyMatch(finding ->
                finding.code().equals("solid-open-shell") && finding.severity() == Severity.QUERY));
  }

  @Test
  void aFileWithoutASolidIsRefusedWithTheReason() {
    byte[] none =
        "ISO-10303-21;\nHEADER;\nENDSEC;\nDATA;\n#1=ITEM('a');\nENDSEC;\nEND-ISO-10303-21;"
            .getBytes(StandardCharsets.US_ASCII);
    assertThrows(
        UnreadableFileException.class,
        () ->
            new SolidSource(
                    "a.step",
                    new ByteArrayInputStream(none),
                    new VendorProperties(),
                    none,
                    NamedShape.Known.NONE)
                .next());
  }
}
