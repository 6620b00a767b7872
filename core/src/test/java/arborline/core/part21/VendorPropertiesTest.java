package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.inspect.Disposition;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.quantity.Unit;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A vendor's property file that is dropped like any other list. */
class VendorPropertiesTest {

  private static List<RawItem> read(byte[] file) throws IOException {
    ItemReader reader = BundleFormats.recognise(file);
    assertEquals("properties", reader.id());
    List<RawItem> items = new ArrayList<>();
    try (ItemSource source =
        reader.open(new ByteArrayInputStream(file), file, reader.propose(file))) {
      for (Optional<RawItem> next = source.next(); next.isPresent(); next = source.next()) {
        items.add(next.get());
      }
    }
    return items;
  }

  private static List<RawItem> vector(String name) throws IOException {
    try (InputStream file =
        VendorPropertiesTest.class.getResourceAsStream("/vectors/part21/" + name)) {
      return read(file.readAllBytes());
    }
  }

  @Test
  void sizesStayInTheUnitsInWhichTheyAreWritten() throws IOException {
    RawItem drill = vector("g02-drill-velm.p21").getFirst();
    assertEquals(Cell.of("0.375", Unit.INCH), drill.cells().get("DC"));
    assertEquals("140", drill.text("SIG").substring(0, 3));
    assertEquals(Optional.of(Unit.DEGREE), drill.cells().get("SIG").unit());
    assertEquals("VLM-5X-0375 drawing.pdf | models/VLM-5X-0375.stp", drill.text("ATTACHMENT"));
    assertEquals("T", drill.text("NOTE:COOLANT THROUGH"));
    Inspected inspected = Inspector.inspect(drill);
    assertEquals("drill-twist", inspected.tool().toolClass());
    assertTrue(inspected.disposition() != Disposition.HOLD, inspected.findings().toString());
  }

  @Test
  void anAssemblyBringsItsPartsAndTheStackThatJoinsThem() throws IOException {
    List<RawItem> items = vector("g05-assembly-brack.p21");
    assertEquals(
        List.of(ItemKind.COLLET, ItemKind.HOLDER, ItemKind.CUTTER, ItemKind.STACK),
        items.stream().map(RawItem::kind).toList());
    RawItem stack = items.getLast();
    assertEquals("MC-2210-12", stack.owner());
    assertEquals(List.of("BRK-J40-C32-070", "BRK-C32-12"), stack.parts());
    assertEquals("ST-JD-40:f", stack.text("SEAT"));
    assertEquals("48.5", stack.text("OVERHANG"));
    assertEquals("CO-A-32:f", items.get(1).text("CCWS"));
  }

  private static RawItem stepDrill(String diameters) throws IOException {
    return read("""
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Dreave Edge'),'','','');
    ENDSEC;
    DATA;
    #1=TOOL_ITEM('SD-1','Step drill','step drill');
    #2=UNIT(.MILLI.,.METRE.);
    %s
    #9=TOOL_PROPERTY('SDL1',#1,27.,#2,$);
    ENDSEC;
    END-ISO-10303-21;
    """
            .formatted(diameters)
            .getBytes(StandardCharsets.UTF_8))
        .getFirst();
  }

  @Test
  void stepsThatAreCountedFromTheTipGetOurNumbers() throws IOException {
    RawItem drill =
        stepDrill("#5=TOOL_PROPERTY('DC1',#1,8.5,#2,$);\n#6=TOOL_PROPERTY('DC2',#1,11.,#2,$);");
    assertEquals(Cell.of("8.5", Unit.MILLIMETRE), drill.cells().get("DC"));
    assertEquals(Cell.of("11", Unit.MILLIMETRE), drill.cells().get("DC1"));
    assertTrue(!drill.cells().containsKey("DC2"));
    assertEquals("27", drill.text("SDL1"));
    assertTrue(drill.findings().getLast().message().contains("DC1, DC2"));
  }

  @Test
  void aTipThatIsSaidByItselfKeepsItsSteps() throws IOException {
    RawItem drill =
        stepDrill("#5=TOOL_PROPERTY('DC',#1,8.5,#2,$);\n#6=TOOL_PROPERTY('DC1',#1,11.,#2,$);");
    assertEquals("8.5", drill.text("DC"));
    assertEquals("11", drill.text("DC1"));
    assertEquals(List.of(), drill.findings());
  }

  @Test
  void whatContradictsItselfIsAskedAndWhatTheFileLacksIsSaid() throws IOException {
    RawItem mill = vector("g07-facemill-marram.p21").getFirst();
    assertTrue(!mill.cells().containsKey("LF"));
    assertEquals(
        List.of("file-missing-endsec", "value-doubtful"),
        mill.findings().stream().map(finding -> finding.code()).toList());
    assertTrue(
        mill.findings().getLast().message().startsWith("LF: 40 and 45"),
        mill.findings().toString());
  }

  @Test
  void aModelWithoutPropertiesIsRefusedInWords() {
    byte[] model =
        "ISO-10303-21;HEADER;ENDSEC;DATA;#1=CARTESIAN_POINT('',(0.,0.,0.));ENDSEC;END-ISO-10303-21;"
            .getBytes(StandardCharsets.UTF_8);
    UnreadableFileException refused =
        assertThrows(UnreadableFileException.class, () -> read(model));
    assertTrue(refused.getMessage().contains("no item with properties"), refused.getMessage());
  }
}
