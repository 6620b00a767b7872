package arborline.core.exchange;

import java.io.IOException;
import java.util.Optional;

/** Raw tools, one after the other, without holding the file in memory. */
public interface ItemSource extends AutoCloseable {

  /**
   * The next one, or nothing at the end.
   *
   * @throws UnreadableFileException where the file cannot be read on
   */
  Optional<RawItem> next() throws IOException;

  @Override
  void close() throws IOException;
}
