package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ControlClockTest {

  private static final Instant NOON = Instant.parse("2026-03-01T12:00:00Z");

  @ParameterizedTest
  @CsvSource(
      quoteCharacter = '`',
      value = {
        "assets-g10, assets, <Header creationTime=\"2026-03-01T12:00:00Z\" sender=\"M1\"/>",
        "revised-json, table, {\"clock\": \"2026-03-01T13:00:00+01:00\"}",
      })
  void whatTimeAControlSaysItIsIsRead(String dialect, String document, String text) {
    ControlDialect named = ControlDialects.named(dialect);
    Map<String, byte[]> documents =
        Map.of(named.documents().getFirst(), text.getBytes(StandardCharsets.UTF_8));
    assertEquals(Optional.of(NOON), named.clock(documents), document);
  }

  @ParameterizedTest
  @CsvSource({"2026-03-01T12:00:00", "2026-99-01T12:00:00Z", "yesterday", "''"})
  void whatIsNoTimeIsNone(String text) {
    byte[] document = ("at=" + text).getBytes(StandardCharsets.UTF_8);
    assertEquals(Optional.empty(), ControlClock.behind(document, "at="));
  }
}
