package arborline.core.vendor;

import java.io.IOException;
import java.util.SortedSet;

/** The files of a package. */
public interface PackageFiles {

  /** Their names with folders, forward slashes between them. */
  SortedSet<String> names();

  /** Size of one, in bytes. */
  long size(String name);

  /** What is in one; call only for files of a size that fits into memory. */
  byte[] content(String name) throws IOException;
}
