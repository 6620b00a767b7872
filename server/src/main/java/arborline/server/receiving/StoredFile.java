package arborline.server.receiving;

import java.io.IOException;
import java.io.InputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keeps a delivery's file in the database, in parts, so that every server instance can read it. */
@Component
class StoredFile {

  private static final int PART = 1024 * 1024;

  private final JdbcClient jdbc;

  StoredFile(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Stores a file part by part; call inside a transaction. */
  void store(long deliveryId, InputStream file) throws IOException {
    int part = 0;
    for (byte[] bytes = file.readNBytes(PART); bytes.length > 0; bytes = file.readNBytes(PART)) {
      jdbc.sql("insert into delivery_file (delivery_id, part, bytes) values (?, ?, ?)")
          .params(deliveryId, part++, bytes)
          .update();
    }
  }

  /** The file as a stream that holds one part in memory. */
  InputStream open(long deliveryId) {
    return new PartStream(deliveryId);
  }

  void delete(long deliveryId) {
    jdbc.sql("delete from delivery_file where delivery_id = ?").param(deliveryId).update();
  }

  private final class PartStream extends InputStream {
    private final long deliveryId;
    private byte[] bytes = new byte[0];
    private int position;
    private int next;

    PartStream(long deliveryId) {
      this.deliveryId = deliveryId;
    }

    @Override
    public int read() {
      return ready() ? bytes[position++] & 0xFF : -1;
    }

    @Override
    public int read(byte[] target, int offset, int length) {
      if (length == 0) {
        return 0;
      }
      if (!ready()) {
        return -1;
      }
      int count = Math.min(length, bytes.length - position);
      System.arraycopy(bytes, position, target, offset, count);
      position += count;
      return count;
    }

    private boolean ready() {
      if (position < bytes.length) {
        return true;
      }
      bytes =
          jdbc.sql("select bytes from delivery_file where delivery_id = ? and part = ?")
              .params(deliveryId, next++)
              .query(byte[].class)
              .optional()
              .orElse(new byte[0]);
      position = 0;
      return bytes.length > 0;
    }
  }
}
