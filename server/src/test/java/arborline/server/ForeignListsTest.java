package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;
import tools.jackson.databind.JsonNode;

/** Lists of other shops go through a delivery with nobody deciding anything. */
class ForeignListsTest extends ServerTest {

  private static final Path LISTS = Path.of("../core/src/test/resources/vectors/lists");

  private static Resource list(String name) throws IOException {
    return Api.named(name, Files.readAllBytes(LISTS.resolve(name)));
  }

  private List<JsonNode> lines(long delivery) {
    List<JsonNode> lines = new ArrayList<>();
    String next = "";
    do {
      Api.Answer page =
          lead.get("/api/v1/deliveries/%d/lines?limit=100%s".formatted(delivery, next));
      page.at("items").forEach(lines::add);
      next = page.at("next").isNull() ? "" : "&after=" + page.at("next").asString();
    } while (!next.isEmpty());
    return lines;
  }

  @Test
  void twentyListsOfTwentyKindsAreOneDelivery() throws IOException {
    List<Resource> files = new ArrayList<>();
    try (var all = Files.list(LISTS)) {
      for (Path file : all.sorted().toList()) {
        String name = file.getFileName().toString();
        if (!name.endsWith(".json")) {
          files.add(list(name));
        }
      }
    }
    long id = lead.deliver(files.toArray(Resource[]::new));
    Api.Answer delivery = lead.get("/api/v1/deliveries/" + id);
    assertEquals("ready", delivery.text("state"));
    assertEquals(20, delivery.at("files").size());
    List<JsonNode> lines = lines(id);
    assertEquals(delivery.number("read"), lines.size());
    long tools =
        lines.stream().filter(line -> !line.get("kind").asString().equals("remark")).count();
    assertEquals(217, tools);
  }

  @Test
  void aLineShowsWhereItStandsAndWhatWasRead() throws IOException {
    long id = lead.deliver(list("a05-crib-count.xlsx"));
    JsonNode line =
        lines(id).stream()
            .filter(one -> one.get("code").asString().equals("TW-R750"))
            .findFirst()
            .orElseThrow();
    assertEquals(11, line.get("line").asInt());
    assertEquals("cutter", line.get("kind").asString());
    assertEquals("end-mill-corner-radius", line.get("classId").asString());
    assertEquals("3/4", line.at("/cells/DC/text").asString());
    assertEquals("in", line.at("/cells/DC/unit").asString());
    assertEquals("B-05", line.at("/notes/Bin").asString());
    List<String> held =
        StreamSupport.stream(
                lead.get("/api/v1/deliveries/%d/lines?finding=date-for-number".formatted(id))
                    .at("items")
                    .spliterator(),
                false)
            .map(one -> one.get("code").asString())
            .toList();
    assertEquals(List.of("TW-E375", "TW-B250"), held);
    long repaired =
        lead.post(
                "/api/v1/deliveries/%d/repair".formatted(id),
                Api.body("finding", "date-for-number", "repair", "date-to-fraction.DC"))
            .number("lines");
    assertEquals(2, repaired);
    assertEquals(0, lead.get("/api/v1/deliveries/" + id).number("hold"));
  }

  @Test
  void theUnitOfLengthsAndAColumnAreDecidedOtherwise() throws IOException {
    long id =
        lead.deliver(
            "units.csv",
            "Item,Style,Dia,OAL,Odd\nU1,end mill,1,3,5\nU2,end mill,2,4,6\nU3,end mill,2,4,7\n");
    Api.Answer read = lead.get("/api/v1/deliveries/" + id);
    JsonNode reading = read.at("files").get(0).get("reading");
    assertEquals("in", reading.get("unit").asString());
    assertTrue(reading.get("unitEvidence").asString().contains("none in mm"));
    lead.send(
        "PUT",
        "/api/v1/deliveries/%d/reading?file=0".formatted(id),
        Api.body("unit", "mm", "columns", java.util.Map.of("4", Api.body("symbol", "CHW"))));
    lead.untilRead(id);
    JsonNode line = lines(id).getFirst();
    assertEquals("mm", line.at("/cells/DC/unit").asString());
    assertEquals("5", line.at("/cells/CHW/text").asString());
    assertEquals(
        400,
        lead.send(
                "PUT", "/api/v1/deliveries/%d/reading?file=0".formatted(id), Api.body("unit", "kg"))
            .status());
  }
}
