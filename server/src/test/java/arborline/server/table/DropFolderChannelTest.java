package arborline.server.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.table.ControlFile;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A control that is off: nobody looks into its folders. */
class DropFolderChannelTest {

  private static final URI LINK = URI.create("folder:m9");
  private static final Duration PATIENCE = Duration.ofMillis(200);

  @TempDir Path root;
  private Path in;
  private DropFolderChannel channel;

  @BeforeEach
  void folders() throws IOException {
    in = Files.createDirectories(root.resolve("m9/in"));
    Files.createDirectories(root.resolve("m9/out"));
    channel = new DropFolderChannel(root.toString(), PATIENCE);
  }

  private Path dropped(String name, Instant when) throws IOException {
    Path file = Files.writeString(in.resolve(name), "TOOLDATA");
    Files.setLastModifiedTime(file, FileTime.from(when));
    return file;
  }

  @Test
  void whatIsNotTakenIsWithdrawn() {
    IOException silent =
        assertThrows(
            IOException.class,
            () -> channel.send(LINK, new ControlFile("TOOLS.TXT", "text/plain", "TOOLDATA")));
    assertTrue(silent.getMessage().contains("withdrawn"), silent.getMessage());
    assertFalse(Files.exists(in.resolve("TOOLS.TXT")));
  }

  /** The server died before it could withdraw it; the control is switched on a day later. */
  @Test
  void whatAServerThatDiedDroppedIsWithdrawnByTheNextReading() throws IOException {
    Path forgotten = dropped("TOOLS.TXT", Instant.now().minusSeconds(3600));
    Path half = dropped("TOOLS.TXT.PART", Instant.now().minusSeconds(3600));
    assertThrows(IOException.class, () -> channel.read(LINK, List.of("TOOLS.TXT")));
    assertFalse(Files.exists(forgotten));
    assertFalse(Files.exists(half));
  }

  @Test
  void whatSomebodyIsSendingJustNowAndFilesOfOthersStay() throws IOException {
    Path sending = dropped("TOOLS.TXT", Instant.now().plusSeconds(60));
    Path other = dropped("PART-7.NC", Instant.now().minusSeconds(3600));
    assertThrows(IOException.class, () -> channel.read(LINK, List.of("TOOLS.TXT")));
    assertTrue(Files.exists(sending));
    assertEquals("TOOLDATA", Files.readString(other));
  }
}
