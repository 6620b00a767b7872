package arborline.core.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** A file format for tools. Stateless and safe between threads. */
public interface ToolFormat {

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
  RawToolSource open(InputStream file, byte[] head, TableReading reading) throws IOException;

  /** Starts a file; tools are then written one by one. */
  ToolSink create(OutputStream file, WriteOptions options) throws IOException;

  /** Says what writing this tool would drop or round. */
  void losses(LibraryTool tool, WriteOptions options, LossReport report);
}
