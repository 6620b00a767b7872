package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Libraries that are published, and compared. */
class EditionsTest extends ServerTest {

  private long library;
  private long tool;
  private String code;

  @BeforeEach
  void aLibraryWithATool() {
    library = library("Editions " + System.nanoTime());
    code = "ED-" + library;
    tool = add(code);
  }

  private long add(String toolCode) {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(toolCode, "10"))
        .number("toolId");
  }

  private Api.Answer publish(String words) {
    return lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body("words", words));
  }

  private void change(String diameter) {
    int version = (int) lead.get("/api/v1/tools/" + tool).number("version");
    assertEquals(
        200,
        lead.send(
                "PUT",
                "/api/v1/tools/%d?version=%d".formatted(tool, version),
                Draft.mill(code, diameter))
            .status());
  }

  /** A chuck for shanks of 12 mm. */
  private Map<String, Object> chuck(String name) {
    Map<String, Object> chuck = Draft.holder("EDH-" + library, name);
    chuck.put("workSide", "CY-SF-12:f");
    return chuck;
  }

  private static Map<String, String> fields(JsonNode changed) {
    Map<String, String> fields = new TreeMap<>();
    changed
        .get("fields")
        .forEach(field ->
            fields.put(
                field.get("name").asString(),
                "%s to %s"
                    .formatted(field.get("before").asString(), field.get("after").asString())));
    return fields;
  }

  @Test
  void anEditionIsNumberedAndStaysAsItWas() {
    Api.Answer first = publish("for the winches");
    assertEquals(201, first.status());
    assertEquals(1, first.number("number"));
    assertEquals(1, first.number("tools"));
    assertEquals("for the winches", first.text("words"));
    change("12");
    add(code + "-B");
    Api.Answer second = publish("");
    assertEquals(2, second.number("number"));
    assertNotEquals(first.text("hash"), second.text("hash"));
    JsonNode tools =
        lead.get("/api/v1/editions/%d/tools".formatted(first.number("id"))).at("items");
    assertEquals(1, tools.size());
    assertEquals(code, tools.get(0).get("code").asString());
    assertEquals(
        List.of(2, 1),
        lead.get("/api/v1/libraries/%d/editions".formatted(library))
            .at("items")
            .valueStream()
            .map(one -> one.get("number").asInt())
            .toList());
  }

  @Test
  void whatDidNotChangeIsNotPublishedAgain() {
    publish("");
    Api.Answer again = publish("once more");
    assertEquals(409, again.status());
    assertTrue(again.text("detail").contains("changed since edition 1"));
    assertEquals(
        1, lead.get("/api/v1/libraries/%d/editions".formatted(library)).at("items").size());
    change("12");
    publish("");
    change("10");
    assertEquals(201, publish("").status());
  }

  @Test
  void twoEditionsAreComparedToolByToolAndFieldByField() {
    long gone = add(code + "-GONE");
    long first = publish("").number("id");
    change("12");
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, gone), null);
    add(code + "-NEW");
    lead.post(
        "/api/v1/tools/%d/cutting".formatted(tool),
        Api.body(
            "material", "p-alloy-annealed", "speed", 150, "feed", 0.05, "depth", 1, "width", 1));
    Api.Answer now = lead.get("/api/v1/editions/compare?a=" + first);
    long second = publish("").number("id");
    Api.Answer both = lead.get("/api/v1/editions/compare?a=%d&b=%d".formatted(first, second));
    for (Api.Answer compared : List.of(now, both)) {
      assertEquals(code + "-NEW", compared.at("in").get(0).get("code").asString());
      assertEquals(code + "-GONE", compared.at("out").get(0).get("code").asString());
      assertEquals(1, compared.number("changed"));
      Map<String, String> fields = fields(compared.at("changes").get(0));
      assertEquals("10 mm to 12 mm", fields.get("values.DC"));
      assertTrue(
          fields.keySet().stream().anyMatch(name -> name.startsWith("cutting.")),
          fields.toString());
      assertTrue(compared.at("changes").get(0).get("before").isObject());
    }
    assertTrue(now.at("b").isNull());
    assertEquals(0, lead.get("/api/v1/editions/compare?a=%d".formatted(second)).number("changed"));
  }

  @Test
  void aLibraryGoesBackToAnEditionAndThatIsTakenBack() {
    long gone = add(code + "-GONE");
    long section =
        lead.post("/api/v1/libraries/%d/sections".formatted(library), Api.body("name", "Everyday"))
            .number("id");
    lead.post(
        "/api/v1/libraries/%d/sections/%d/tools".formatted(library, section),
        Api.body("tools", List.of(gone)));
    long edition = publish("").number("id");
    change("12");
    lead.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, gone), null);
    add(code + "-NEW");
    Api.Answer back = lead.post("/api/v1/editions/%d/back".formatted(edition), null);
    assertEquals(200, back.status(), back.toString());
    assertEquals(0, lead.get("/api/v1/editions/compare?a=" + edition).number("cameIn"));
    assertEquals(0, lead.get("/api/v1/editions/compare?a=" + edition).number("changed"));
    assertEquals(List.of(code, code + "-GONE"), codes());
    assertEquals(409, publish("the same again").status());
    entriesSayWhatBelongsToTheirTools();
    String undo = "/api/v1/trail/%d/undo".formatted(back.number("undo"));
    assertEquals(204, lead.post(undo, null).status());
    assertEquals(List.of(code, code + "-NEW"), codes());
    assertEquals(
        403, as("VISITOR").post("/api/v1/editions/%d/back".formatted(edition), null).status());
  }

  private List<String> codes() {
    return lead.get("/api/v1/libraries/%d/tools".formatted(library))
        .at("items")
        .valueStream()
        .map(one -> one.get("code").asString())
        .toList();
  }

  @Test
  void aHolderThatChangedIsToldAsWell() {
    long holder = lead.post("/api/v1/components", chuck("Chuck")).number("id");
    assertEquals(
        201,
        lead.post("/api/v1/tools/%d/stacks".formatted(tool), Draft.stack(List.of(holder), 30))
            .status());
    long first = publish("").number("id");
    Map<String, Object> other = chuck("Longer chuck");
    assertEquals(
        200, lead.send("PUT", "/api/v1/components/%d?version=1".formatted(holder), other).status());
    JsonNode part = lead.get("/api/v1/editions/compare?a=" + first).at("parts").get(0);
    assertEquals("EDH-" + library, part.get("code").asString());
    assertEquals("Chuck to Longer chuck", fields(part).get("values.NAME"));
  }

  @Test
  void editionsFollowTheRightsOfTheirLibrary() {
    long edition = publish("").number("id");
    Person one = person("PROGRAMMER");
    String stamp = lead.get("/api/v1/libraries/%d/rights".formatted(library)).text("stamp");
    Person owner = person("PROGRAMMER");
    lead.send(
        "PUT",
        "/api/v1/libraries/%d/rights".formatted(library),
        Api.body(
            "sharing",
            "PRIVATE",
            "people",
            List.of(Api.body("account", owner.account(), "right", "OWNER")),
            "stamp",
            stamp));
    for (String path :
        List.of(
            "/editions/" + edition,
            "/editions/%d/tools".formatted(edition),
            "/editions/compare?a=" + edition,
            "/libraries/%d/editions".formatted(library))) {
      assertEquals(404, one.api().get("/api/v1" + path).status(), path);
      assertEquals(200, owner.api().get("/api/v1" + path).status(), path);
    }
    assertEquals(
        403,
        as("VISITOR")
            .post("/api/v1/libraries/%d/editions".formatted(library), Api.body())
            .status());
  }

  @Test
  void pagesOfAnEditionFollowEachOther() {
    for (int i = 1; i <= 4; i++) {
      add("%s-%d".formatted(code, i));
    }
    long edition = publish("").number("id");
    List<String> codes = new ArrayList<>();
    String after = "";
    do {
      Api.Answer page =
          lead.get("/api/v1/editions/%d/tools?limit=2&after=%s".formatted(edition, after));
      page.at("items").forEach(one -> codes.add(one.get("code").asString()));
      after = page.at("next").isNull() ? "" : page.text("next");
    } while (!after.isEmpty());
    assertEquals(5, codes.size());
    assertEquals(codes.stream().sorted().toList(), codes);
    assertEquals(400, lead.get("/api/v1/editions/%d/tools?after=x".formatted(edition)).status());
    assertEquals(404, lead.get("/api/v1/editions/999999999").status());
    assertEquals(404, lead.get("/api/v1/editions/compare?a=999999999").status());
  }

  @Test
  void anEditionMadeWhileADeliveryIsTakenHasAllOfItOrNothing() throws Exception {
    int lines = 400;
    long delivery = lead.deliver("meanwhile.csv", table("EDW" + library, lines));
    CountDownLatch begun = new CountDownLatch(1);
    Set<Integer> sizes = new TreeSet<>();
    try (ExecutorService other = Executors.newSingleThreadExecutor()) {
      Future<Integer> taking =
          other.submit(() -> {
            begun.countDown();
            return lead.post(
                    "/api/v1/deliveries/%d/accept".formatted(delivery),
                    Api.body("library", library, "numbering", "next"))
                .status();
          });
      begun.await();
      do {
        Api.Answer made = publish("");
        if (made.status() == 201) {
          sizes.add((int) made.number("tools"));
        }
      } while (!taking.isDone());
      assertEquals(200, taking.get());
    }
    sizes.removeAll(Set.of(1, 1 + lines));
    assertEquals(Set.of(), sizes);
  }
}
