package arborline.server.watch;

import arborline.server.delivery.ArrivingFiles;
import arborline.server.delivery.Deliveries;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Looks into the watched folders. A file that stands as it did one look before is whole: it becomes
 * a delivery and is put into the folder {@code received}, or into {@code refused} with the reason
 * beside it. What became of a file is kept before it is moved, so that a crash between brings it in
 * neither twice nor never.
 */
@Component
class FolderScan {

  private static final Logger LOG = LoggerFactory.getLogger(FolderScan.class);
  private static final String RECEIVED = "received";
  private static final String REFUSED = "refused";
  private static final int MOST = 200;
  private static final int LONGEST = 250;
  private static final int LONGEST_REASON = 500;

  private final WatchedFolders folders;
  private final Deliveries deliveries;
  private final JdbcClient jdbc;
  private final Map<Path, Seen> before = new HashMap<>();

  FolderScan(WatchedFolders folders, Deliveries deliveries, JdbcClient jdbc) {
    this.folders = folders;
    this.deliveries = deliveries;
    this.jdbc = jdbc;
  }

  /** How a file stood when it was last looked at. */
  private record Seen(long size, long modifiedAt) {}

  private record Outcome(Long deliveryId, String refusal) {}

  /** Looks into all folders once. */
  synchronized void look() {
    if (folders.root().isEmpty()) {
      return;
    }
    Map<Path, Seen> now = new HashMap<>();
    for (WatchedFolders.Folder folder : folders.all()) {
      try {
        look(folder, now);
      } catch (IOException | RuntimeException failed) {
        LOG.warn("watched folder {} cannot be looked into", folder.name(), failed);
      }
    }
    before.clear();
    before.putAll(now);
  }

  private void look(WatchedFolders.Folder folder, Map<Path, Seen> now) throws IOException {
    Path place = folders.place(folder);
    if (!Files.isDirectory(place)) {
      return;
    }
    List<Path> files;
    try (Stream<Path> all = Files.list(place)) {
      files = all.filter(FolderScan::arriving).sorted().limit(MOST).toList();
    }
    for (Path file : files) {
      Seen seen = new Seen(Files.size(file), Files.getLastModifiedTime(file).toMillis());
      if (seen.size() > 0 && seen.equals(before.get(file))) {
        settle(folder, file, seen);
      } else {
        now.put(file, seen);
      }
    }
  }

  /** A file by itself, not one that some program is still writing under another name. */
  private static boolean arriving(Path file) {
    String name = file.getFileName().toString();
    return Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)
        && !name.startsWith(".")
        && !name.startsWith("~")
        && !name.matches("(?i).*\\.(?:tmp|part|crdownload|filepart)")
        && name.length() <= LONGEST;
  }

  private void settle(WatchedFolders.Folder folder, Path file, Seen seen) throws IOException {
    String name = file.getFileName().toString();
    Outcome outcome = known(folder.id(), name, seen).orElseGet(() -> bring(folder, file, seen));
    if (outcome.refusal() == null) {
      move(file, RECEIVED, "%d-%s".formatted(outcome.deliveryId(), name));
    } else {
      Path moved = move(file, REFUSED, name);
      Files.writeString(
          moved.resolveSibling(moved.getFileName() + ".reason.txt"),
          outcome.refusal() + "\n",
          StandardCharsets.UTF_8);
    }
  }

  private Optional<Outcome> known(long folderId, String name, Seen seen) {
    return jdbc.sql(
            """
            select delivery_id, refusal from watched_file
            where folder_id = ? and name = ? and size = ? and modified_at = ?\
            """)
        .params(folderId, name, seen.size(), seen.modifiedAt())
        .query(Outcome.class)
        .optional();
  }

  private Outcome bring(WatchedFolders.Folder folder, Path file, Seen seen) {
    String name = file.getFileName().toString();
    try (ArrivingFiles arriving = new ArrivingFiles();
        InputStream content = Files.newInputStream(file)) {
      arriving.add(name, content);
      long[] brought = {0};
      deliveries.bring(
          arriving,
          folder.recipe(),
          folder.libraryId(),
          id -> {
            brought[0] = id;
            note(folder.id(), name, seen, id, null);
          });
      return new Outcome(brought[0], null);
    } catch (Refusal refused) {
      String reason = refused.getMessage();
      note(folder.id(), name, seen, null, reason);
      return new Outcome(null, reason);
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  private void note(long folderId, String name, Seen seen, Long deliveryId, String refusal) {
    String reason =
        refusal != null && refusal.length() > LONGEST_REASON
            ? refusal.substring(0, LONGEST_REASON)
            : refusal;
    jdbc.sql(
            """
            insert into watched_file (folder_id, name, size, modified_at, delivery_id, refusal)
            values (?, ?, ?, ?, ?, ?)\
            """)
        .params(folderId, name, seen.size(), seen.modifiedAt(), deliveryId, reason)
        .update();
  }

  /** Never over another file: a number is put behind the name. */
  private static Path move(Path file, String into, String name) throws IOException {
    Path folder = Files.createDirectories(file.resolveSibling(into));
    Path target = folder.resolve(name);
    for (int number = 2; Files.exists(target, LinkOption.NOFOLLOW_LINKS); number++) {
      target = folder.resolve("%d-%s".formatted(number, name));
    }
    return Files.move(file, target);
  }
}
