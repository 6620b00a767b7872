package arborline.server.outlet;

import arborline.server.support.FileHash;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The folders that outlets write into. All of them stand in one place that the server was told. */
@Component
class OutletFolders {

  private final String root;

  OutletFolders(@Value("${arbor.outlets:}") String root) {
    this.root = root;
  }

  /** The place of all folders; nothing where the server was told none. */
  Optional<Path> root() {
    return root.isBlank() ? Optional.empty() : Optional.of(Path.of(root).toAbsolutePath());
  }

  Path folder(String name) {
    return root()
        .orElseThrow(() ->
            Refusal.conflict("this server writes into no folders: start it with ARBOR_OUTLETS"))
        .resolve(name);
  }

  /** Makes a folder where it is not there. */
  void make(String name) {
    try {
      Files.createDirectories(folder(name));
    } catch (IOException failed) {
      throw Refusal.conflict("folder %s cannot be made: %s".formatted(name, reason(failed)));
    }
  }

  /** How a file stands in its folder. */
  enum Found {
    AS_WRITTEN,
    CHANGED,
    GONE
  }

  /** How a file stands that was written. */
  Found found(Outlet outlet) {
    Path file = folder(outlet.folder()).resolve(outlet.name());
    try {
      if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
        return Found.GONE;
      }
      boolean untouched =
          Files.size(file) == outlet.size()
              && Files.getLastModifiedTime(file).toMillis() == outlet.modifiedAt();
      return untouched || FileHash.of(file).equals(outlet.sha256())
          ? Found.AS_WRITTEN
          : Found.CHANGED;
    } catch (IOException unreadable) {
      return Found.GONE;
    }
  }

  /**
   * Puts a file in its place: whoever reads there has the former one or this one, whole.
   *
   * @return when it was changed last, milliseconds
   * @throws IOException with a reason for people
   */
  long put(String folder, String name, Path written) throws IOException {
    Path place = folder(folder);
    if (!Files.isDirectory(place, LinkOption.NOFOLLOW_LINKS)) {
      throw new IOException("folder %s is not there any more".formatted(folder));
    }
    Path target = place.resolve(name);
    if (Files.exists(target, LinkOption.NOFOLLOW_LINKS)
        && !Files.isRegularFile(target, LinkOption.NOFOLLOW_LINKS)) {
      throw new IOException("%s in folder %s is not a file".formatted(name, folder));
    }
    Path beside = place.resolve("." + name + ".part");
    try {
      Files.deleteIfExists(beside);
      // A new file may be read by whoever the folder lets; a copy would be as private as ours.
      try (OutputStream out = Files.newOutputStream(beside)) {
        Files.copy(written, out);
      }
      try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.WRITE)) {
        channel.force(true);
      }
      Files.move(
          beside, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
      return Files.getLastModifiedTime(target).toMillis();
    } catch (IOException failed) {
      tidy(beside);
      throw new IOException(
          "folder %s cannot be written: %s".formatted(folder, reason(failed)), failed);
    }
  }

  private static void tidy(Path beside) {
    try {
      Files.deleteIfExists(beside);
    } catch (IOException left) {
      // what is left there is overwritten by the next writing
      return;
    }
  }

  private static String reason(IOException failed) {
    return switch (failed) {
      case AccessDeniedException denied -> "writing is not allowed there";
      case NoSuchFileException gone -> "it is not there any more";
      case FileSystemException system when system.getReason() != null -> system.getReason();
      default -> String.valueOf(failed.getMessage());
    };
  }
}
