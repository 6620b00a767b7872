package arborline.core.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Set;

/** A file format for bundles, in and out. Stateless and safe between threads. */
public interface BundleFormat extends ItemReader {

  /** Media type of written files, with character set. */
  String mediaType();

  /** What the names of its files end in, without the point. */
  default String ending() {
    return id();
  }

  /** Starts a file; parts, then tools are written one by one. */
  BundleSink create(OutputStream file, WriteOptions options) throws IOException;

  /** What its files carry beside the values of tools. */
  Set<Carried> carries();

  /**
   * An item as a file brings it back: what cannot be held of it, beyond what {@link #carries}
   * leaves out, is missing or plainer there.
   */
  default RawItem kept(RawItem item, WriteOptions options) {
    return item;
  }
}
