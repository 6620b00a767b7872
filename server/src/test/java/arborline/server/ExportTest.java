package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What leaves as a file comes back unchanged, or the loss is said before. */
class ExportTest extends ServerTest {

  private long library;

  @BeforeEach
  void shelve() throws IOException {
    var known =
        jdbc.sql("select id from library where name = 'Exported'").query(Long.class).optional();
    library = known.isPresent() ? known.get() : filled();
  }

  private long filled() throws IOException {
    long made = library("Exported");
    byte[] file = Files.readAllBytes(Path.of("../demo/incoming/marram-starter.csv"));
    String starter =
        new String(file, StandardCharsets.UTF_8).replaceAll("(?m)^(?!CODE)(\\S)", "EX-$1");
    long delivery = lead.deliver("starter.csv", starter);
    Api.Answer taken =
        lead.post(
            "/api/v1/deliveries/%d/accept".formatted(delivery),
            Api.body("library", made, "numbering", "next"));
    assertTrue(taken.number("accepted") > 30, taken.toString());
    return made;
  }

  private String export(String query) {
    return new String(
        lead.bytes("/api/v1/libraries/%d/export?%s".formatted(library, query)),
        StandardCharsets.UTF_8);
  }

  @ParameterizedTest
  @ValueSource(strings = {"csv", "json"})
  void whatComesBackIsKnown(String format) {
    long tools = lead.get("/api/v1/libraries/" + library).number("tools");
    long delivery = lead.deliver("back." + format, export("format=" + format));
    Api.Answer back = lead.get("/api/v1/deliveries/" + delivery);
    assertEquals(format, back.text("format"));
    assertEquals(tools, back.number("read"));
    assertEquals(tools, back.number("skipped"));
    assertEquals(
        "nothing to take: the shop has %d tools with the same values".formatted(tools),
        back.text("note"));
  }

  @Test
  void exportsOfTheSameLibraryAreTheSameBytes() {
    assertEquals(export("format=csv"), export("format=csv"));
    assertEquals(export("format=json"), export("format=json"));
  }

  @Test
  void oneChangedValueIsTheOneThatIsAskedFor() {
    String[] lines = export("format=csv").split("\r?\n");
    int oal = List.of(lines[0].split(",")).indexOf("OAL [mm]");
    String[] cells = lines[1].split(",", -1);
    cells[oal] = "77.7";
    lines[1] = String.join(",", cells);
    long delivery = lead.deliver("changed.csv", String.join("\n", lines));
    Api.Answer back = lead.get("/api/v1/deliveries/" + delivery);
    assertEquals(back.number("read") - 1, back.number("skipped"));
    var held =
        lead.get("/api/v1/deliveries/%d/lines?finding=code-taken".formatted(delivery)).at("items");
    assertEquals(1, held.size());
    String message = held.get(0).at("/findings/0/message").asString();
    assertTrue(message.contains("OAL 77.7 mm here"), message);
  }

  @Test
  void inInchesEveryRoundedValueIsCounted() {
    Api.Answer losses =
        lead.get("/api/v1/libraries/%d/losses?format=csv&unit=in".formatted(library));
    assertTrue(losses.number("count") > 0);
    String inch = export("format=csv&unit=in");
    assertTrue(inch.split("\n")[0].contains("DC [in]"), inch.split("\n")[0]);
  }

  @Test
  void anUnknownLibraryOrFormatIsSaid() {
    assertEquals(404, lead.get("/api/v1/libraries/999999/losses?format=csv").status());
    assertEquals(
        400, lead.get("/api/v1/libraries/%d/export?format=papyrus".formatted(library)).status());
    assertEquals(
        400,
        lead.get("/api/v1/libraries/%d/export?format=csv&unit=cubit".formatted(library)).status());
  }

  @Test
  void theSchemaOfOurFilesIsPublished() {
    Api.Answer schema = lead.get("/api/v1/schema/tools");
    assertEquals(200, schema.status());
    assertTrue(schema.text("$schema").contains("json-schema.org"));
  }
}
