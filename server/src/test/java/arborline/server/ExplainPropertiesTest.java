package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What property files and packages of vendors are answered with. */
class ExplainPropertiesTest extends ServerTest {

  private static final String PATH = "/api/v1/explain/properties";

  private static String drill(String id, String diameter) {
    return """
    ISO-10303-21;
    HEADER;
    FILE_NAME('a.p21','2026-03-02T09:14:00',(''),('Dreave Edge'),'','','');
    ENDSEC;
    DATA;
    #1=ITEM('%s','twist drill','Drill');
    #2=UNIT('mm');
    #3=TOOL_PROPERTY('DC',#1,%s,#2,$);
    #4=TOOL_PROPERTY('OAL',#1,62.,$,$);
    #5=TOOL_PROPERTY('COLOUR OF THE BOX',#1,'red',$,$);
    ENDSEC;
    END-ISO-10303-21;
    """
        .formatted(id, diameter);
  }

  private JsonNode explained(String name, byte[] content) {
    Api.Uploaded answer = as("VISITOR").upload(PATH, Api.named(name, content));
    assertEquals(200, answer.status(), new String(answer.bytes(), StandardCharsets.UTF_8));
    return Api.JSON.readTree(answer.bytes());
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @Test
  void aFileIsAnsweredWithItsItemsAndWhatIsWrong() {
    JsonNode answer = explained("d.p21", bytes(drill("D-5", "5.")));
    assertTrue(answer.get("valid").asBoolean());
    assertEquals("Dreave Edge", answer.get("vendor").asString());
    assertEquals("D-5", answer.at("/items/0/id").asString());
    assertEquals("twist drill", answer.at("/items/0/class").asString());
    assertEquals("drill-twist", answer.at("/items/0/classId").asString());
    assertEquals("5", answer.at("/items/0/values/DC").asString());
    assertTrue(answer.at("/items/0/values/OAL").isMissingNode(), answer.toString());
    assertEquals("COLOUR OF THE BOX", answer.at("/items/0/kept/0").asString());
    assertEquals("missing-unit", answer.at("/faults/0/kind").asString());
    assertEquals(9, answer.at("/faults/0/line").asInt());
    assertEquals("OAL", answer.at("/doubtful/0/symbol").asString());
  }

  @Test
  void aPackageIsAnsweredWithAllItsFiles() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("items/a.p21", bytes(drill("D-5", "5.")));
    files.put("items/b.p21", bytes(drill("D-5", "6.")));
    files.put("photo.png", bytes("no picture"));
    files.put(
        "manifest.json",
        bytes(
            "{\"vendor\": \"Dreave\", \"release\": \"2026-1\","
                + " \"items\": [{\"id\": \"D-9\", \"file\": \"items/gone.p21\"}]}"));
    JsonNode answer = explained("package.zip", Zips.of(files));
    assertEquals("Dreave", answer.get("vendor").asString());
    assertEquals("2026-1", answer.get("release").asString());
    assertEquals("items/b.p21", answer.at("/items/1/files/0").asString());
    String faults = answer.get("faults").toString();
    for (String kind : new String[] {"duplicate-item-id", "missing-file", "not-a-picture"}) {
      assertTrue(faults.contains(kind), faults);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "tools",
        "ISO-10303-21",
        "ISO-10303-21; DATA; #1=",
        "ISO-10303-21;DATA;#99999999999999999999=ITEM('x');",
        "ISO-10303-21;DATA;#1=ITEM('x',#1);#2=PROPERTY(#2,#2);",
        "ISO-10303-21;DATA;#1=ITEM('x');#2=PROPERTY(#1,'DC',1.E999999999,#3);"
      })
  void whatIsBrokenIsSaidToBeAndNeverFails(String text) {
    JsonNode answer = explained("a.p21", bytes(text));
    assertFalse(
        answer.get("valid").asBoolean() && answer.get("faults").isEmpty() && text.contains("#99"),
        answer.toString());
  }

  @Test
  void aDictionaryThatIsNoneIsRefusedInWords() {
    Api.Uploaded answer =
        lead.upload(
            PATH, Api.named("a.p21", bytes(drill("D-5", "5."))), Map.of("dictionary", "no JSON"));
    JsonNode read = Api.JSON.readTree(answer.bytes());
    assertFalse(read.get("valid").asBoolean());
    assertTrue(read.get("reason").asString().contains("not valid JSON"), read.toString());
  }
}
