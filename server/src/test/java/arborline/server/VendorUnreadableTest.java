package arborline.server;

import static arborline.server.VendorRelease.DRILL;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a vendor's next release says and nobody can read is asked, and never taken for nothing. */
class VendorUnreadableTest extends VendorTest {

  private static byte[] blurred(String release, String speed) {
    return VendorRelease.of(
        "Blurred Edge", release, Map.of("VRU-1", VendorRelease.holder("VRU-1", speed)));
  }

  @Test
  void whatCannotBeReadOfAHolderIsNotTakenForNothing() {
    long library = library("Releases: unreadable holders");
    long id = bodied(lead.deliver("one.zip", blurred("1", "20000.")), "VRU-1", library);
    long typed = lead.deliver("two.zip", blurred("2", "25000."));
    typed(typed, "VRU-1", "RPMX", "fast");
    assertEquals("hold", line(typed, "VRU-1").get("disposition").asString());
    typed(typed, "VRU-1", "RPMX", "24000");
    take(typed, library);
    assertEquals("24000 1/min", part(id).at("/properties/RPMX").asString());

    long written = lead.deliver("three.zip", blurred("3", "'fast'"));
    JsonNode asked = line(written, "VRU-1");
    assertEquals("hold", asked.get("disposition").asString(), asked.toString());
    assertTrue(
        asked.toString().contains("could not be read now ('fast' is no number), the shop has 24"),
        asked.toString());
    take(written, library);
    typed(written, "VRU-1", "RPMX", "26000");
    take(written, library);
    assertEquals("26000 1/min", part(id).at("/properties/RPMX").asString());
  }

  @Test
  void whatCannotBeReadOfAToolIsAskedWhereTheShopHasIt() {
    long library = library("Releases: unreadable tools");
    take(delivered("Smeared Edge", "1", "VRS-1", DRILL), library);
    String smeared =
        VendorRelease.drill("VRS-1", DRILL)
            .replace("'OAL',#1,89.", "'OAL',#1,'long'")
            .replace("#2=UNIT", "#90=TOOL_PROPERTY('RPMX',#1,'fast',$,$);\n#2=UNIT");
    byte[] next = VendorRelease.of("Smeared Edge", "2", Map.of("VRS-1", smeared));
    long delivery = lead.deliver("next.zip", next);
    JsonNode asked = line(delivery, "VRS-1");
    assertEquals("hold", asked.get("disposition").asString(), asked.toString());
    assertTrue(asked.toString().contains("OAL was 89 mm and could not be read"), asked.toString());
    for (String answer : List.of("replace", "merge")) {
      lead.post(
          "/api/v1/deliveries/%d/settle".formatted(delivery),
          Api.body(
              "answer",
              answer,
              "fields",
              List.of("OAL"),
              "lines",
              List.of(asked.get("id").asLong())));
      JsonNode lost = line(delivery, "VRS-1");
      assertEquals("hold", lost.get("disposition").asString(), lost.toString());
      assertTrue(
          lost.toString().contains("OAL could not be read ('long' is no number)"), lost.toString());
    }
    lead.post(
        "/api/v1/deliveries/%d/settle".formatted(delivery),
        Api.body("answer", "keep", "lines", List.of(asked.get("id").asLong())));
    take(delivery, library);
    assertEquals("89", value(tool(library, "VRS-1"), "OAL"));

    JsonNode again = line(lead.deliver("again.zip", next), "VRS-1");
    assertEquals("skipped", again.get("disposition").asString(), again.toString());
    assertTrue(again.toString().contains("RPMX: 'fast' is no number"), again.toString());
  }
}
