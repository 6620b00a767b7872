package arborline.core.exchange;

import java.io.IOException;

/** Takes parts, then tools, and writes them. */
public interface BundleSink extends AutoCloseable {

  /** A part of stacks; all of them come before the tools. */
  void part(BundlePart part) throws IOException;

  /** A tool with what belongs to it. */
  void write(Bundle bundle) throws IOException;

  @Override
  void close() throws IOException;
}
