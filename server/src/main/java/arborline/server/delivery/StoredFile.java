package arborline.server.delivery;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Keeps a delivery's files in the database, in parts, so that every server instance can read it.
 */
@Component
public class StoredFile {

  private static final int PART = 1024 * 1024;
  private static final int HEAD = 64 * 1024;

  private final JdbcClient jdbc;

  StoredFile(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Stores a file part by part; call inside a transaction. */
  public void store(long deliveryId, int fileNo, InputStream file) throws IOException {
    int part = 0;
    for (byte[] bytes = file.readNBytes(PART); bytes.length > 0; bytes = file.readNBytes(PART)) {
      jdbc.sql("insert into delivery_file (delivery_id, file_no, part, bytes) values (?, ?, ?, ?)")
          .params(deliveryId, fileNo, part++, bytes)
          .update();
    }
  }

  /** A file as a stream that holds one part in memory. */
  public InputStream open(long deliveryId, int fileNo) {
    return new PartStream(deliveryId, fileNo);
  }

  /** The first 64 KiB of a file, from which its format and layout are recognised. */
  public byte[] head(long deliveryId, int fileNo) {
    try (InputStream file = open(deliveryId, fileNo)) {
      return file.readNBytes(HEAD);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  public void delete(long deliveryId) {
    jdbc.sql("delete from delivery_file where delivery_id = ?").param(deliveryId).update();
  }

  private final class PartStream extends InputStream {
    private final long deliveryId;
    private final int fileNo;
    private byte[] bytes = new byte[0];
    private int position;
    private int next;

    PartStream(long deliveryId, int fileNo) {
      this.deliveryId = deliveryId;
      this.fileNo = fileNo;
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
          jdbc.sql(
                  "select bytes from delivery_file where delivery_id = ? and file_no = ? and part = ?")
              .params(deliveryId, fileNo, next++)
              .query(byte[].class)
              .optional()
              .orElse(new byte[0]);
      position = 0;
      return bytes.length > 0;
    }
  }
}
