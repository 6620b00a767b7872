package arborline.core.exchange;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.Optional;

/** Lines of a text, none of them longer than a file of tools ever has. */
public final class BoundedLines implements AutoCloseable {

  private static final int LONGEST = 4 * 1024 * 1024;

  private final BufferedReader text;
  private long number;

  public BoundedLines(Reader text) {
    this.text = new BufferedReader(text);
  }

  /**
   * The next line without its end, or nothing at the end.
   *
   * @throws UnreadableFileException where it is longer than 4 194 304 characters
   */
  public Optional<String> next() throws IOException {
    StringBuilder read = new StringBuilder();
    int sign = text.read();
    if (sign < 0) {
      return Optional.empty();
    }
    number++;
    while (sign >= 0 && sign != '\n') {
      if (read.length() >= LONGEST) {
        throw new UnreadableFileException(
            "line %d is longer than %d characters".formatted(number, LONGEST));
      }
      if (sign != '\r') {
        read.append((char) sign);
      }
      sign = text.read();
    }
    return Optional.of(read.toString());
  }

  /** Number of the line that was read last, from 1. */
  public long number() {
    return number;
  }

  @Override
  public void close() throws IOException {
    text.close();
  }
}
