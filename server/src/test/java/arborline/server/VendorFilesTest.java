package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Property files of vendors are delivered like any list, with the models that they name. */
class VendorFilesTest extends ServerTest {

  private static final String DRILL =
      """
      ISO-10303-21;
      HEADER;
      FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Dreave Edge'),'','','');
      ENDSEC;
      DATA;
      #1=TOOL_ITEM('%1$s','Drill 3/8 long','twist drill');
      #2=(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.));
      #3=LENGTH_MEASURE_WITH_UNIT(LENGTH_MEASURE(25.4),#2);
      #4=(CONVERSION_BASED_UNIT('INCH',#3)LENGTH_UNIT()NAMED_UNIT(*));
      #5=TOOL_PROPERTY('DC',#1,0.375,#4,$);
      #6=TOOL_PROPERTY('DMM',#1,0.375,#4,$);
      #7=TOOL_PROPERTY('LCF',#1,2.,#4,$);
      #8=TOOL_PROPERTY('OAL',#1,4.,#4,$);
      #9=TOOL_PROPERTY('SIG',#1,140,#10,$);
      #10=UNIT('deg');
      #11=TOOL_PROPERTY('NOF',#1,2,$,$);
      #12=ITEM_FILE(#1,'models/%1$s.stp','model');
      ENDSEC;
      END-ISO-10303-21;
      """;

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @Test
  void aToolOfAVendorArrivesWithItsModelAndItsPicture() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("items/VFA-1.p21", bytes(DRILL.formatted("VFA-1")));
    files.put(
        "models/VFA-1.stp", bytes("ISO-10303-21;HEADER;ENDSEC;DATA;ENDSEC;END-ISO-10303-21;"));
    files.put("photos/VFA-1.png", "\u0089PNG\r\n\u001a\n x".getBytes(StandardCharsets.ISO_8859_1));
    long delivery = lead.deliver("vendor.zip", Zips.of(files));
    JsonNode line = lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items").get(0);
    assertEquals("VFA-1", line.get("code").asString());
    assertEquals("drill-twist", line.get("classId").asString());
    assertEquals("0.375", line.at("/cells/DC/text").asString());
    assertEquals("in", line.at("/cells/DC/unit").asString());
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    long library = library("From a vendor");
    lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    long tool =
        lead.get("/api/v1/libraries/%d/tools".formatted(library))
            .at("items")
            .get(0)
            .get("toolId")
            .asLong();
    assertEquals(
        List.of("VFA-1.png", "VFA-1.stp"),
        StreamSupport.stream(
                lead.get("/api/v1/tools/%d/attachments".formatted(tool)).at("items").spliterator(),
                false)
            .map(one -> one.get("name").asString())
            .toList());
  }

  @Test
  void aModelAloneSaysThatItHoldsNoProperties() {
    long delivery =
        lead.deliver(
            "model.stp",
            "ISO-10303-21;\nHEADER;\nENDSEC;\nDATA;\n#1=CARTESIAN_POINT('',(0.,0.,0.));\n"
                + "ENDSEC;\nEND-ISO-10303-21;\n");
    Api.Answer answer = lead.get("/api/v1/deliveries/%d".formatted(delivery));
    assertEquals("failed", answer.text("state"));
    assertTrue(answer.text("note").contains("no item with properties"), answer.toString());
  }
}
