package arborline.shop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;

/**
 * The folders of a control that looks for files every while: a request in {@code in} is answered in
 * {@code out}, a file in {@code in} is taken and acknowledged.
 */
final class DropFolder {

  private final Path in;
  private final Path out;
  private final SimulatedControl<?> control;
  private final List<String> names;

  DropFolder(Path folder, SimulatedControl<?> control, String... names) throws IOException {
    this.names = List.of(names);
    this.in = Files.createDirectories(folder.resolve("in"));
    this.out = Files.createDirectories(folder.resolve("out"));
    this.control = control;
  }

  /** Looks every while until the process ends. */
  void watch(long everyMillis) {
    Thread.ofVirtual()
        .name("drop-folder")
        .start(() -> {
          while (!Thread.currentThread().isInterrupted()) {
            Pause.of(everyMillis);
            lookOrLeaveIt();
          }
        });
  }

  private void lookOrLeaveIt() {
    try {
      look();
    } catch (UncheckedIOException trouble) {
      System.err.println("drop folder: " + trouble.getMessage());
    }
  }

  /** Answers and takes what lies there now. */
  void look() {
    Behaviour behaviour = control.behaviour();
    if (behaviour.offline()) {
      return;
    }
    Pause.of(behaviour.slowMillis());
    names.forEach(this::look);
  }

  private void look(String name) {
    try {
      punch(name);
      take(name);
    } catch (NoSuchFileException withdrawn) {
      return;
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private void punch(String name) throws IOException {
    Path request = in.resolve(name + ".REQ");
    if (!Files.exists(request)) {
      return;
    }
    String word = Files.readString(request);
    if (word.isBlank()) {
      return;
    }
    put(name, control.sent(control.document(name)));
    put(name + ".OUT", word + "\r\n");
    Files.deleteIfExists(request);
  }

  private void take(String name) throws IOException {
    Path dropped = in.resolve(name);
    if (!Files.exists(dropped)) {
      return;
    }
    byte[] bytes = Files.readAllBytes(dropped);
    Files.delete(dropped);
    String said;
    try {
      control.take(name, new String(bytes, StandardCharsets.US_ASCII));
      control.fileTaken();
      said = "OK";
    } catch (RefusedException refused) {
      said = refused.getMessage();
    } catch (CutOffException cut) {
      return;
    }
    put(name + ".ACK", "%s %s\r\n".formatted(sha256(bytes), said));
  }

  private void put(String name, String text) throws IOException {
    Path part = out.resolve(name + ".PART");
    Files.writeString(part, text, StandardCharsets.US_ASCII);
    Files.move(
        part,
        out.resolve(name),
        StandardCopyOption.ATOMIC_MOVE,
        StandardCopyOption.REPLACE_EXISTING);
  }

  private static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException impossible) {
      throw new IllegalStateException(impossible);
    }
  }
}
