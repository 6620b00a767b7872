package arborline.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Keeps the sources and results of conversions in parts, so that every server instance has them.
 */
@Component
class StoredParts {

  /** The number under which the result of a conversion is kept. */
  static final int RESULT = -1;

  private static final int PART = 1024 * 1024;

  private final JdbcClient jdbc;

  StoredParts(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Stores a file; call inside a transaction. */
  void store(long conversionId, int fileNo, InputStream content) throws IOException {
    int part = 0;
    for (byte[] bytes = content.readNBytes(PART);
        bytes.length > 0;
        bytes = content.readNBytes(PART)) {
      jdbc.sql(
              "insert into conversion_part (conversion_id, file_no, part, bytes) values (?, ?, ?, ?)")
          .params(conversionId, fileNo, part++, bytes)
          .update();
    }
  }

  /** Copies a file, a part at a time, so that no connection waits for a slow reader. */
  void copy(long conversionId, int fileNo, OutputStream target) throws IOException {
    int part = 0;
    Optional<byte[]> bytes = part(conversionId, fileNo, part);
    while (bytes.isPresent()) {
      target.write(bytes.get());
      part++;
      bytes = part(conversionId, fileNo, part);
    }
  }

  private Optional<byte[]> part(long conversionId, int fileNo, int part) {
    return jdbc.sql(
            "select bytes from conversion_part where conversion_id = ? and file_no = ? and part = ?")
        .params(conversionId, fileNo, part)
        .query(byte[].class)
        .optional();
  }

  void deleteSources(long conversionId) {
    jdbc.sql("delete from conversion_part where conversion_id = ? and file_no >= 0")
        .param(conversionId)
        .update();
  }

  void delete(long conversionId) {
    jdbc.sql("delete from conversion_part where conversion_id = ?").param(conversionId).update();
  }
}
