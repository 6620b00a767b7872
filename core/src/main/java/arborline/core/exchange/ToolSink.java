package arborline.core.exchange;

import java.io.IOException;

/** Takes tools and writes them. */
public interface ToolSink extends AutoCloseable {

  void write(LibraryTool tool) throws IOException;

  @Override
  void close() throws IOException;
}
