package arborline.server.table;

import arborline.core.table.ControlFile;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Two folders that a control looks into every few seconds: {@code in} for what it is to take or to
 * punch out, {@code out} for what it says. A file is dropped under another name and renamed, so
 * that no half one is picked up. {@code folder:name} is the folder of that name in the one place
 * that the server was told.
 *
 * <p>Reading: {@code in/TOOLS.TXT.REQ} holds a word; once {@code out/TOOLS.TXT.OUT} holds the same
 * word, {@code out/TOOLS.TXT} is as of now. Writing: {@code in/TOOLS.TXT} is taken; {@code
 * out/TOOLS.TXT.ACK} then holds the SHA-256 of what was taken and OK, or what the control says
 * against it. What is not taken in time is withdrawn, also by the next reading where the server
 * that dropped it died: a control that was off must not find it much later.
 */
@Component
class DropFolderChannel implements ControlChannel {

  private static final String FOLDER = "[A-Za-z0-9][A-Za-z0-9_-]{0,59}";
  private static final long LOOK_MILLIS = 50;
  private static final String ACKNOWLEDGED = ".ACK";
  private static final String REQUESTED = ".REQ";
  private static final String PUNCHED = ".OUT";
  private static final String PART = ".PART";

  private final String root;
  private final Duration patience;

  DropFolderChannel(
      @Value("${arbor.controls.folders:}") String root,
      @Value("${arbor.controls.patience:15s}") Duration patience) {
    this.root = root;
    this.patience = patience;
  }

  @Override
  public String scheme() {
    return "folder";
  }

  /** The folders of one control. */
  private record Folders(Path in, Path out) {}

  private Folders folders(URI link) throws IOException {
    if (root.isBlank()) {
      throw new IOException("this server exchanges no files: start it with ARBOR_CONTROL_FOLDERS");
    }
    String name = link.getSchemeSpecificPart();
    Path folder = Path.of(root).toAbsolutePath().resolve(name.matches(FOLDER) ? name : "-");
    Folders folders = new Folders(folder.resolve("in"), folder.resolve("out"));
    if (!Files.isDirectory(folders.in()) || !Files.isDirectory(folders.out())) {
      throw new IOException("its folder %s is not there".formatted(folder));
    }
    return folders;
  }

  @Override
  public Map<String, byte[]> read(URI link, List<String> documents) throws IOException {
    Folders folders = folders(link);
    withdrawForgotten(folders.in(), documents);
    Map<String, byte[]> answers = new HashMap<>();
    for (String name : documents) {
      String word = UUID.randomUUID().toString();
      Path request = folders.in().resolve(name + REQUESTED);
      long end = System.nanoTime() + patience.toNanos();
      drop(request, word, end);
      Optional<String> said = awaited(folders.out().resolve(name + PUNCHED), word, end);
      if (said.isEmpty()) {
        Files.deleteIfExists(request);
        throw silent("it punched nothing out");
      }
      answers.put(name, whole(folders.out().resolve(name)));
    }
    return answers;
  }

  /** Takes away what lies there for longer than anybody waits who dropped it. */
  private void withdrawForgotten(Path in, List<String> names) throws IOException {
    Instant oldest = Instant.now().minus(patience.multipliedBy(2));
    for (String name : names) {
      for (Path dropped : List.of(in.resolve(name), in.resolve(name + PART))) {
        try {
          if (Files.getLastModifiedTime(dropped).toInstant().isBefore(oldest)) {
            Files.deleteIfExists(dropped);
          }
        } catch (NoSuchFileException nothing) {
          continue;
        }
      }
    }
  }

  /** Asks once nobody else is asking. */
  private static void drop(Path request, String word, long end) throws IOException {
    while (true) {
      try {
        Files.writeString(request, word, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
        return;
      } catch (FileAlreadyExistsException asked) {
        if (System.nanoTime() > end) {
          Files.deleteIfExists(request);
          throw new IOException("somebody else's request lay there and was not answered", asked);
        }
        pause();
      }
    }
  }

  private static byte[] whole(Path file) throws IOException {
    if (!Files.isRegularFile(file)) {
      throw new OddAnswerException("it acknowledged, and punched no file out");
    }
    if (Files.size(file) > LARGEST_DOCUMENT) {
      throw new OddAnswerException("its answer is larger than 32 MB");
    }
    return Files.readAllBytes(file);
  }

  @Override
  public void send(URI link, ControlFile file) throws IOException {
    Folders folders = folders(link);
    Path aim = folders.in().resolve(file.name());
    Path part = folders.in().resolve(file.name() + PART);
    Path acknowledged = folders.out().resolve(file.name() + ACKNOWLEDGED);
    byte[] bytes = file.bytes();
    Files.deleteIfExists(acknowledged);
    Files.write(part, bytes);
    Files.move(part, aim, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    long end = System.nanoTime() + patience.toNanos();
    Optional<String> said = awaited(acknowledged, sha256(bytes), end);
    if (said.isEmpty()) {
      boolean withdrawn = Files.deleteIfExists(aim);
      throw silent(
          withdrawn
              ? "it did not take the file, which was withdrawn"
              : "it took the file and did not acknowledge it");
    }
    if (!said.get().equals("OK")) {
      throw new RefusedByControlException(said.get());
    }
  }

  private IOException silent(String what) {
    return new IOException("%s within %d seconds".formatted(what, patience.toSeconds()));
  }

  /** What an acknowledgement says behind a word; empty where it does not come in time. */
  private static Optional<String> awaited(Path acknowledged, String word, long end)
      throws IOException {
    while (true) {
      Optional<String> said = said(acknowledged, word);
      if (said.isPresent() || System.nanoTime() > end) {
        return said;
      }
      pause();
    }
  }

  private static Optional<String> said(Path acknowledged, String word) throws IOException {
    try {
      String text = Files.readString(acknowledged, StandardCharsets.ISO_8859_1);
      boolean whole = text.endsWith("\n") && text.startsWith(word);
      return whole ? Optional.of(text.substring(word.length()).strip()) : Optional.empty();
    } catch (NoSuchFileException notYet) {
      return Optional.empty();
    }
  }

  private static void pause() throws IOException {
    try {
      Thread.sleep(LOOK_MILLIS);
    } catch (InterruptedException interrupted) {
      Thread.currentThread().interrupt();
      throw new IOException("interrupted", interrupted);
    }
  }

  private static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
