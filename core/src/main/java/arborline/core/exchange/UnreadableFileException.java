package arborline.core.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import java.io.IOException;

/** The file as a whole cannot be read; the message says where, why and what to do. */
public class UnreadableFileException extends IOException {

  private static final long serialVersionUID = 1L;

  public UnreadableFileException(String message) {
    super(message);
  }

  public UnreadableFileException(String message, Throwable cause) {
    super(message, cause);
  }

  /**
   * A record of a text table that has no end.
   *
   * @param line of the last record that was read
   */
  public static UnreadableFileException record(long line, CsvParseException broken) {
    boolean tooLong = broken.getMessage() != null && broken.getMessage().contains("buffer size");
    return new UnreadableFileException(
        "after line %d: %s; is a quotation mark missing?"
            .formatted(line, tooLong ? "a record is longer than 4 MB" : broken.getMessage()),
        broken);
  }
}
