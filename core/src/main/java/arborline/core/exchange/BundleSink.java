package arborline.core.exchange;

import arborline.core.stack.Component;
import java.io.IOException;

/** Takes parts, then tools, and writes them. */
public interface BundleSink extends AutoCloseable {

  /** A part of stacks; all of them come before the tools. */
  void part(Component part) throws IOException;

  /** A tool with what belongs to it. */
  void write(Bundle bundle) throws IOException;

  @Override
  void close() throws IOException;
}
