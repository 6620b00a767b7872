package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ExplainTest extends ServerTest {

  private Api.Answer explain(String question) {
    Api.Answer answer = lead.get("/api/v1/explain/" + question);
    assertEquals(200, answer.status(), question);
    return answer;
  }

  private static boolean valid(Api.Answer answer) {
    return answer.at("valid").asBoolean();
  }

  private static String why(Api.Answer answer) {
    return answer.at("findings").get(0).get("message").asString();
  }

  @Test
  void insertInPropertiesAndInTheOtherSystem() {
    Api.Answer answer = explain("insert?designation=CNMG 120408");
    assertTrue(valid(answer));
    assertEquals("12.7", answer.at("properties").get("IC").asString());
    assertEquals("0.8", answer.at("properties").get("RE").asString());
    assertEquals("CNMG 432", answer.text("converted"));
    assertTrue(explain("insert?designation=RCMT 1204M0").at("converted").isNull());
  }

  @Test
  void wrongDesignationsSayWhichPosition() {
    Api.Answer answer = explain("insert?designation=CNMG 130408");
    assertFalse(valid(answer));
    assertTrue(why(answer).startsWith("position 5"));
    assertFalse(valid(explain("shank?designation=PSJNR 2525 M 12")));
  }

  @Test
  void shankInProperties() {
    Api.Answer answer = explain("shank?designation=PDJNR 2020 K 15");
    assertTrue(valid(answer));
    assertEquals("93", answer.at("properties").get("KAPR").asString());
    assertEquals("125", answer.at("properties").get("LF").asString());
    assertTrue(answer.at("converted").isNull());
  }

  @Test
  void symbolsAreSaidInWords() {
    Api.Answer answer = lead.get("/api/v1/properties");
    assertEquals(200, answer.status());
    JsonNode diameter = answer.at("items").get(0);
    assertEquals("DC", diameter.get("symbol").asString());
    assertEquals("cutting diameter", diameter.get("name").asString());
    assertEquals("mm", diameter.get("unit").asString());
  }

  @Test
  void jointsSayWhyNot() {
    assertTrue(explain("joint?a=ST-JD-40:f&b=ST-JD-40:m").at("mates").asBoolean());
    Api.Answer no = explain("joint?a=HT-A-63:f&b=PT-C-63:m");
    assertFalse(no.at("mates").asBoolean());
    assertTrue(no.text("why").contains("polygon"));
    assertFalse(valid(explain("joint?a=XX-A-1:f&b=PT-C-63:m")));
  }

  @Test
  void orientationFollowsFromTheMounting() {
    String rear = "orientation?turretSide=rear&xAxis=own&spindle=main&zAxis=common&mount=radial";
    Api.Answer answer = explain(rear + "&work=external&hand=R&rake=down");
    assertTrue(valid(answer));
    assertEquals(3, answer.number("code"));
    assertEquals("M3", answer.text("spindle"));
    assertEquals(-1, answer.at("tip").get(0).asInt());
    assertFalse(valid(explain(rear + "&work=internal&hand=R&rake=down")));
    Api.Answer unknown = explain(rear + "&work=external&hand=R&rake=sideways");
    assertEquals("rake is one of up, down, not 'sideways'", why(unknown));
  }

  @Test
  void cuttingQuantitiesAreComputedOrRefused() {
    Api.Answer speed = explain("cutting?quantity=n_rpm&vc=150&D=10");
    assertEquals(4774.65, speed.at("value").asDouble(), 0.01);
    assertEquals("1/min", speed.text("unit"));
    assertEquals(
        18.884,
        explain("cutting?quantity=deflection&F=200&segs=30:10:10:600|40:20:20:210")
            .at("value")
            .asDouble(),
        0.001);
    assertEquals("D must be > 0", why(explain("cutting?quantity=n_rpm&vc=150&D=0")));
    assertEquals("D: 'ten' is not a number", why(explain("cutting?quantity=n_rpm&vc=1&D=ten")));
    assertEquals(
        explain("cutting?quantity=hex_side&fz=0.1&ae=2&D=20&ka=45").at("value").asDouble(),
        explain("cutting?quantity=hex_side&fz=0.1&ae=2&D=20&KAPR=45").at("value").asDouble(),
        1e-12);
    assertEquals(
        "hex_side has no input 'kapr'; it takes fz, ae, D, KAPR",
        why(explain("cutting?quantity=hex_side&fz=0.1&ae=2&D=20&kapr=45")));
    assertEquals(135, explain("cutting?quantity=sec_clear&KAPR=10&EPSR=35").at("value").asDouble());
    assertTrue(why(explain("cutting?quantity=luck&vc=1")).contains("n_rpm"));
  }

  @Test
  void quantitiesThatCannotBeAreNotValid() {
    assertFalse(valid(explain("quantity?text=5&from=mm&to=parsec")));
    assertTrue(valid(explain("quantity?text=1/2&from=in&to=mm&decimals=3")));
  }

  @Test
  void aProfileIsReadByItsRows() {
    Api.Answer sound = explain("profile?text=0 0; 2 3 R4; 10 3");
    assertTrue(valid(sound));
    assertEquals(4, sound.at("points").get(1).get("bend").asDouble());
    Api.Answer crossing = explain("profile?text=0 0; 5 -1");
    assertFalse(valid(crossing));
    assertEquals("point 2: the profile crosses the axis", crossing.text("why"));
  }

  @Test
  void theTwoViewsHaveTheirUnits() {
    Api.Answer units = lead.get("/api/v1/units");
    assertEquals("in", units.at("items").get(0).get("inch").asString());
    assertEquals(25.4, units.at("items").get(0).get("factor").asDouble());
  }
}
