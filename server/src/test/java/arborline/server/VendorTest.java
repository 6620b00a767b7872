package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;

/** What tests of vendors' packages do: bring them, correct their lines, take them. */
abstract class VendorTest extends ServerTest {

  final long delivered(String vendor, String release, String... drills) {
    return lead.deliver(
        release + ".zip", VendorRelease.of(vendor, release, VendorRelease.drills(drills)));
  }

  final Api.Answer take(long delivery, long library) {
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(200, taken.status(), taken.toString());
    assertEquals(
        0,
        lead.get("/api/v1/deliveries/%d".formatted(delivery)).number("query"),
        lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).toString());
    return taken;
  }

  final long tool(long library, String code) {
    return StreamSupport.stream(
            lead.get("/api/v1/libraries/%d/tools?limit=500".formatted(library))
                .at("items")
                .spliterator(),
            false)
        .filter(one -> one.get("code").asString().equals(code))
        .findFirst()
        .orElseThrow()
        .get("toolId")
        .asLong();
  }

  final String value(long tool, String symbol) {
    return lead.get("/api/v1/tools/%d".formatted(tool))
        .body()
        .at("/answer/values/%s/text".formatted(symbol))
        .asString();
  }

  final Api.Answer report(long delivery) {
    return lead.get("/api/v1/deliveries/%d/package".formatted(delivery));
  }

  final JsonNode part(long id) {
    return lead.get("/api/v1/components/%d".formatted(id)).at("component");
  }

  final void typed(long delivery, String code, String symbol, String text) {
    long id = line(delivery, code).get("id").asLong();
    Api.Answer said =
        lead.send(
            "PATCH",
            "/api/v1/deliveries/%d/lines/%d".formatted(delivery, id),
            Api.body("cells", Api.body(symbol, text)));
    assertEquals(200, said.status(), said.toString());
  }

  /** The id of a holder of a package, which is given a body first. */
  final long bodied(long delivery, String code, long library) {
    typed(delivery, code, "BODIES", "26 x 63; 64 x 32");
    take(delivery, library);
    return line(delivery, code).get("takenPartId").asLong();
  }
}
