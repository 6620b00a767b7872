package arborline.core.part21;

import arborline.core.exchange.UnreadableFileException;

/** A statement that is none, with the line that shows it. */
final class FaultyStatementException extends UnreadableFileException {

  private static final long serialVersionUID = 1L;

  private final int line;

  FaultyStatementException(long line, String what) {
    super("line %d: %s".formatted(line, what));
    this.line = (int) line;
  }

  int line() {
    return line;
  }
}
