package arborline.core.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Set;

/** A file format for bundles. Stateless and safe between threads. */
public interface BundleFormat {

  /** The name in addresses: {@code csv}, {@code json}. */
  String id();

  /** Media type of written files, with character set. */
  String mediaType();

  /** True where the head of a file looks like this format. */
  boolean recognises(byte[] head);

  /**
   * Opens a file for reading.
   *
   * @param head its first bytes, already read and still part of {@code file}
   * @param reading how to read a text table; ignored by formats that need no such decisions
   */
  ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException;

  /** Starts a file; parts, then tools are written one by one. */
  BundleSink create(OutputStream file, WriteOptions options) throws IOException;

  /** What its files carry beside the values of tools. */
  Set<Carried> carries();
}
