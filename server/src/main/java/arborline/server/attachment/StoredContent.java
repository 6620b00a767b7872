package arborline.server.attachment;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the content of attachments, each once, in parts of one MiB. */
@Component
class StoredContent {

  private static final int PART = 1024 * 1024;

  private final JdbcClient jdbc;

  StoredContent(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Claims a content; true where its parts are still to be stored. */
  private boolean claimed(String sha256, long size) {
    return jdbc.sql("insert ignore into content (sha256, size) values (?, ?)")
            .params(sha256, size)
            .update()
        > 0;
  }

  /** Keeps a file. */
  @Transactional(propagation = Propagation.MANDATORY)
  void keep(String sha256, Path file) throws IOException {
    if (!claimed(sha256, Files.size(file))) {
      return;
    }
    try (InputStream content = Files.newInputStream(file)) {
      int part = 0;
      for (byte[] bytes = content.readNBytes(PART);
          bytes.length > 0;
          bytes = content.readNBytes(PART)) {
        jdbc.sql("insert into content_part (sha256, part, bytes) values (?, ?, ?)")
            .params(sha256, part++, bytes)
            .update();
      }
    }
  }

  /** Keeps a file of a delivery. */
  @Transactional(propagation = Propagation.MANDATORY)
  void keep(String sha256, long size, long deliveryId, int fileNo) {
    if (claimed(sha256, size)) {
      jdbc.sql(
              """
              insert into content_part (sha256, part, bytes)
              select ?, part, bytes from delivery_file where delivery_id = ? and file_no = ?\
              """)
          .params(sha256, deliveryId, fileNo)
          .update();
    }
  }

  /** Copies a content, a part at a time, so that no connection waits for a slow reader. */
  void copy(String sha256, OutputStream target) throws IOException {
    int part = 0;
    Optional<byte[]> bytes = part(sha256, part);
    while (bytes.isPresent()) {
      target.write(bytes.get());
      part++;
      bytes = part(sha256, part);
    }
  }

  private Optional<byte[]> part(String sha256, int part) {
    return jdbc.sql("select bytes from content_part where sha256 = ? and part = ?")
        .params(sha256, part)
        .query(byte[].class)
        .optional();
  }
}
