package arborline.core.exchange;

import java.io.IOException;
import java.io.InputStream;

/**
 * Reads one kind of file as items. Stateless and safe between threads. One that only reads is one
 * file marked {@code AutoService(ItemReader.class)}.
 */
public interface ItemReader {

  /** The name in addresses: {@code csv}, {@code json}. */
  String id();

  /** True where the head of a file looks like this kind. */
  boolean recognises(byte[] head);

  /** Proposes how to read a file from its first bytes. */
  default TableReading propose(byte[] head) {
    return TableReading.propose(head);
  }

  /** A file that can be opened as often as it is needed. */
  interface Content {
    InputStream open() throws IOException;
  }

  /** As {@link #propose(byte[])}, for files that say nothing by their beginning. */
  default TableReading propose(byte[] head, Content file) throws IOException {
    return propose(head);
  }

  /**
   * Opens a file for reading.
   *
   * @param head its first bytes, already read and still part of {@code file}
   * @param reading how to read a text table; ignored where no such decisions are needed
   */
  ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException;
}
