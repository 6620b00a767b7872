package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AssemblyPartsTest {

  private static RawItem stack(String extra) throws IOException {
    return item(extra, ItemKind.STACK);
  }

  private static List<String> asked(String extra) throws IOException {
    return item(extra, ItemKind.CUTTER).findings().stream().map(Finding::message).toList();
  }

  private static RawItem item(String extra, ItemKind kind) throws IOException {
    String file =
        """
        ISO-10303-21;
        HEADER;
        FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Brack Holders'),'','','');
        ENDSEC;
        DATA;
        #1=UNIT(.MILLI.,.METRE.);
        #10=ITEM('SET-1','tool assembly','Set');
        #20=ITEM('MC-12','square end mill','End mill 12');
        #21=PROPERTY_VALUE(#20,'DC',12.,#1,$);
        #22=PROPERTY_VALUE(#20,'LF',83.,#1,$);
        #23=CONNECTION(#20,'machine side','CY-A-12:m');
        #30=ITEM('EXT-1','extension','Extension');
        #31=PROPERTY_VALUE(#30,'LPR',50.,#1,$);
        #32=CONNECTION(#30,'machine side','CY-A-20:m');
        #33=CONNECTION(#30,'workpiece side','CY-HY-12:f');
        #40=ITEM('HLD-1','holder','Holder');
        #41=PROPERTY_VALUE(#40,'LPR',70.,#1,$);
        #42=CONNECTION(#40,'machine side','HA-63:m');
        #43=CONNECTION(#40,'workpiece side','CY-HY-20:f');
        #50=CONNECTION(#10,'machine side','HA-63:m');
        #51=ASSEMBLY_USAGE('1',#10,#20,$);
        #52=ASSEMBLY_USAGE('2',#10,#30,$);
        #53=ASSEMBLY_USAGE('3',#10,#40,$);
        %s
        ENDSEC;
        END-ISO-10303-21;
        """
            .formatted(extra);
    try (ItemSource source =
        VendorProperties.open(
            new ByteArrayInputStream(file.getBytes(StandardCharsets.UTF_8)),
            PropertyDictionary.NONE)) {
      for (Optional<RawItem> item = source.next(); item.isPresent(); item = source.next()) {
        if (item.get().kind() == kind) {
          return item.get();
        }
      }
    }
    throw new AssertionError("no " + kind);
  }

  @Test
  void partsStandInTheOrderInWhichTheyTakeEachOther() throws IOException {
    RawItem stack = stack("");
    assertEquals("MC-12", stack.owner());
    assertEquals(List.of("HLD-1", "EXT-1"), stack.parts());
    assertEquals("HA-63:f", stack.text(StackReading.SEAT));
    assertEquals("", stack.text(StackReading.OVERHANG));
  }

  @Test
  void whatHoldsMorePartsThanAnybodyStacksKeepsTheOrderOfItsFile() throws IOException {
    StringBuilder extra = new StringBuilder();
    for (int i = 0; i < 3_000; i++) {
      extra.append(
          """
          #%1$d=ITEM('PART-%2$d','extension','x');
          #%3$d=CONNECTION(#%1$d,'machine side','CY-A-20:m');
          #%4$d=ASSEMBLY_USAGE('4',#10,#%1$d,$);
          """
              .formatted(1000 + 3 * i, i, 1001 + 3 * i, 1002 + 3 * i));
    }
    List<String> parts = stack(extra.toString()).parts();
    assertEquals(3_002, parts.size());
    assertEquals(List.of("EXT-1", "HLD-1", "PART-0", "PART-1"), parts.subList(0, 4));
  }

  @Test
  void aFileOfManyAssembliesEndsInBoundedTime() throws IOException {
    StringBuilder extra = new StringBuilder();
    for (int i = 0; i < 12_000; i++) {
      extra.append(
          """
          #%1$d=ITEM('SET-N%2$d','tool assembly','Set');
          #%3$d=ITEM('MC-N%2$d','square end mill','Mill');
          #%4$d=PROPERTY_VALUE(#%3$d,'DC',12.,#1,$);
          #%5$d=ASSEMBLY_USAGE('1',#%1$d,#%3$d,$);
          """
              .formatted(1000 + 4 * i, i, 1001 + 4 * i, 1002 + 4 * i, 1003 + 4 * i));
    }
    assertEquals("MC-12", stack(extra.toString()).owner());
  }

  @Test
  void theOverhangIsWhatTheLengthOfTheWholeLeaves() throws IOException {
    RawItem stack = stack("#60=PROPERTY_VALUE(#10,'LPR',158.5,#1,$);");
    assertEquals("38.5", stack.text(StackReading.OVERHANG));
  }

  private static final String CUTTER_AT_75_5 =
      """
      #61=CARTESIAN_POINT('',(0.,0.,75.5));
      #62=DIRECTION('',(0.,0.,1.));
      #63=DIRECTION('',(1.,0.,0.));
      #64=AXIS2_PLACEMENT_3D('',#61,#62,#63);
      #65=PLACED_PART_LOCATION(#51,#64);
      """;

  @Test
  void aLengthThatIsNotWhereTheTipStandsIsAsked() throws IOException {
    assertEquals(
        List.of(
            "SET-1 is said to be 168.5 mm long, and by the places of its parts the tip stands at"
                + " 158.5 mm: look which is right"),
        asked(CUTTER_AT_75_5 + "#60=PROPERTY_VALUE(#10,'LPR',168.5,#1,$);"));
  }

  @Test
  void aLengthThatAgreesWithThePlacesIsNotAsked() throws IOException {
    assertEquals(List.of(), asked(CUTTER_AT_75_5 + "#60=PROPERTY_VALUE(#10,'LPR',158.52,#1,$);"));
    assertEquals(List.of(), asked(CUTTER_AT_75_5 + "#60=PROPERTY_VALUE(#10,'LPR',75.5,#1,$);"));
    assertEquals(List.of(), asked(""));
  }
}
