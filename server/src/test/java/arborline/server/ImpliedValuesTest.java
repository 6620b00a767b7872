package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a designation says counts wherever a value counts, though nobody wrote it down. */
class ImpliedValuesTest extends ServerTest {

  private static final AtomicInteger COUNT = new AtomicInteger();

  private long library;
  private JsonNode row;

  @BeforeEach
  void shelve() {
    library = library("Left hands " + COUNT.incrementAndGet());
    long delivery =
        lead.deliver(
            "left.csv",
            "CODE,NAME,CLASS,SHANK,MIID\nIV-L%1$d,Left,turning-external,PDJNL2525M15,DNMG150612\n"
                .formatted(library));
    Api.Answer taken =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery),
            Api.body("library", library, "numbering", "keep"));
    assertEquals(1, taken.number("accepted"), taken.toString());
    row = lead.get("/api/v1/libraries/%d/tools".formatted(library)).at("items").get(0);
  }

  @Test
  void aListShowsItAndSaysFromWhat() {
    assertEquals("1.2", row.at("/values/RE/text").asString());
    assertEquals("is read from the designation MIID", row.at("/values/RE/origin").asString());
  }

  @Test
  void aLeftHandHolderIsMountedAsOne() {
    JsonNode mounted = lead.get("/api/v1/tools/%d/mounted".formatted(tool())).body();
    JsonNode left =
        lead.get(
                "/api/v1/explain/orientation?turretSide=rear&mount=radial&work=external&hand=L"
                    + "&rake=down")
            .body();
    assertEquals(left.get("code"), mounted.at("/orientation/code"));
    assertEquals(left.get("spindle"), mounted.at("/orientation/spindle"));
    assertEquals(32, mounted.at("/clearances/end").asInt());
    assertFalse(mounted.get("view").isNull());
  }

  @Test
  void aPatternNamesByIt() {
    Api.Answer preview =
        lead.post(
            "/api/v1/libraries/%d/naming/preview".formatted(library),
            Api.body("code", "T{HAND}{RE}-{NO}", "name", ""));
    assertEquals("TL1.2-1", preview.at("items").get(0).get("newCode").asString());
  }

  private long tool() {
    return row.get("toolId").asLong();
  }
}
