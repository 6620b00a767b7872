package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Views of lists: everybody's own, and those that are shared. */
class ViewsTest extends ServerTest {

  private static final String PATH = "/api/v1/views";

  @BeforeEach
  void none() {
    jdbc.sql("delete from list_view").update();
  }

  private static Map<String, Object> view(String name, boolean shared, String group) {
    return Api.body(
        "name",
        name,
        "shared",
        shared,
        "definition",
        Api.body("columns", List.of("code", "dc"), "group", group, "q", "dia 6..12"));
  }

  private static List<String> names(Api who) {
    return who.get(PATH).at("items").valueStream().map(one -> one.get("name").asString()).toList();
  }

  @Test
  void oneIsOnesOwnUntilItIsShared() {
    Api programmer = as("PROGRAMMER");
    Api.Answer made = lead.post(PATH, view("Slim", false, "holder"));
    assertEquals(201, made.status(), made.toString());
    assertEquals("[\"code\",\"dc\"]", made.body().at("/definition/columns").toString());
    assertEquals(List.of("Slim"), names(lead));
    assertEquals(List.of(), names(programmer));
    String path = PATH + "/%d?version=1".formatted(made.number("id"));
    assertEquals(404, programmer.send("PUT", path, view("Mine", true, "class")).status());
    assertEquals(200, lead.send("PUT", path, view("Slim", true, "holder")).status());
    assertEquals(List.of("Slim"), names(programmer));
    assertEquals(List.of("Slim"), names(as("VISITOR")));
  }

  @Test
  void ofTwoWhoChangeOneTheSecondIsTold() {
    long id = lead.post(PATH, view("Both", true, "class")).number("id");
    String path = PATH + "/%d?version=1".formatted(id);
    assertEquals(200, as("PROGRAMMER").send("PUT", path, view("Both", true, "dc")).status());
    Api.Answer late = lead.send("PUT", path, view("Both", true, "library"));
    assertEquals(409, late.status());
    assertTrue(late.text("detail").contains("changed the view 'Both' since"), late.toString());
    assertEquals("dc", lead.get(PATH).body().at("/items/0/definition/group").asString());
  }

  @Test
  void aVisitorKeepsTheirOwnAndSharesNone() {
    Api visitor = as("VISITOR");
    assertEquals(201, visitor.post(PATH, view("Looking", false, "class")).status());
    assertEquals(409, visitor.post(PATH, view("For all", true, "class")).status());
    long shared = lead.post(PATH, view("Lead's", true, "class")).number("id");
    JsonNode seen = visitor.get(PATH).body().at("/items/0");
    assertFalse(seen.get("changeable").asBoolean(), seen.toString());
    assertEquals(
        409,
        visitor
            .send("PUT", PATH + "/%d?version=1".formatted(shared), view("X", false, "class"))
            .status());
    assertEquals(409, visitor.send("DELETE", PATH + "/" + shared, null).status());
    assertEquals(204, lead.send("DELETE", PATH + "/" + shared, null).status());
    assertEquals(404, lead.send("DELETE", PATH + "/" + shared, null).status());
  }

  @Test
  void aNameStandsOnceAndAViewHasBounds() {
    assertEquals(201, lead.post(PATH, view("Once", false, "class")).status());
    assertEquals(409, lead.post(PATH, view("ONCE", false, "class")).status());
    assertEquals(400, lead.post(PATH, view(" ", false, "class")).status());
    assertEquals(400, lead.post(PATH, view("x".repeat(61), false, "class")).status());
    assertEquals(400, lead.post(PATH, view("Long", false, "y".repeat(41))).status());
    assertEquals(400, lead.post(PATH, Api.body("name", "Nothing")).status());
    for (int i = 0; i < 49; i++) {
      assertEquals(201, lead.post(PATH, view("View " + i, false, "class")).status());
    }
    assertEquals(409, lead.post(PATH, view("One more", false, "class")).status());
  }
}
