package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What solids are answered with. */
class ExplainSolidTest extends ServerTest {

  private static final String PATH = "/api/v1/explain/solid";

  private JsonNode explained(byte[] content) {
    Api.Uploaded answer = as("VISITOR").upload(PATH, Api.named("part.step", content));
    assertEquals(200, answer.status(), new String(answer.bytes(), StandardCharsets.UTF_8));
    return Api.JSON.readTree(answer.bytes());
  }

  private static byte[] drill() throws IOException {
    StringBuilder file = new StringBuilder();
    StepSolid.write(
        file,
        "drill",
        List.of(
            new Point(0, 6),
            new Point(60, 6),
            new Point(60, 5),
            new Point(100, 5),
            new Point(102, 0)),
        Instant.EPOCH);
    return file.toString().getBytes(StandardCharsets.US_ASCII);
  }

  @Test
  void aTurnedPartIsAnsweredWithItsContourFromTheWorkpieceEnd() throws IOException {
    JsonNode answer = explained(drill());
    assertTrue(answer.get("valid").asBoolean());
    assertTrue(answer.get("revolved").asBoolean());
    assertFalse(answer.get("ask").asBoolean());
    assertEquals("mm", answer.get("unit").asString());
    assertEquals("-Z", answer.at("/axis/name").asString());
    assertEquals("102", answer.get("length").asString());
    assertEquals("12", answer.get("diameter").asString());
    assertTrue(answer.get("bore").isNull());
    assertEquals("{\"z\":0,\"r\":0}", answer.at("/profile/0").toString());
    assertEquals("{\"z\":2,\"r\":5}", answer.at("/profile/1").toString());
    assertEquals(1, answer.get("bodies").asInt());
    assertEquals("drill-twist", answer.at("/proposals/0/classId").asString());
    assertEquals("10", answer.at("/proposals/0/properties/DC").asString());
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "tools", "ISO-10303-21", "ISO-10303-21;"})
  void whatIsNoSolidIsAnsweredWithTheReason(String text) {
    JsonNode answer = explained(text.getBytes(StandardCharsets.UTF_8));
    boolean said =
        !answer.get("valid").asBoolean() && !answer.get("reason").asString().isEmpty()
            || answer.get("findings").toString().contains("no-solid");
    assertTrue(said, answer.toString());
    assertFalse(answer.get("revolved").asBoolean());
  }
}
