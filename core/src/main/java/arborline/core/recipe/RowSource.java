package arborline.core.recipe;

import java.io.IOException;
import java.util.Optional;

/** Rows of a table, one after the other. */
interface RowSource extends AutoCloseable {

  /**
   * The next one, or nothing at the end.
   *
   * @throws arborline.core.exchange.UnreadableFileException where the file cannot be read on
   */
  Optional<SourceRow> next() throws IOException;

  @Override
  void close() throws IOException;
}
