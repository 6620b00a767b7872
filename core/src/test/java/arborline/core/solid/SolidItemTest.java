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
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Solids without data as items of a delivery. */
class SolidItemTest {

  private static RawItem item(String name) throws IOException {
    InputStream file = SolidItemTest.class.getResourceAsStream("/vectors/step/" + name + ".step");
    try (SolidSource source =
        new SolidSource("tray/" + name + ".step", file, new VendorProperties(), new byte[0])) {
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
            new SolidSource("a.step", new ByteArrayInputStream(none), new VendorProperties(), none)
                .next());
  }
}
