package arborline.core.part21;

import arborline.core.exchange.UnreadableFileException;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;

/** Reads the statements of a file one by one; comments are passed over. */
final class PhysicalFile implements AutoCloseable {

  private static final int LONGEST = StatementTexts.LONGEST;
  private static final int USUAL = 4096;

  private final Reader reader;
  private final Names names = new Names();
  private char[] text = new char[USUAL];
  private int length;
  private long line = 1;

  PhysicalFile(Reader reader) {
    this.reader = new BufferedReader(reader);
  }

  /**
   * The next statement, or nothing at the end.
   *
   * @throws UnreadableFileException with the line, where something else stands there
   */
  Optional<Statement> next() throws IOException {
    long first = line;
    boolean said = gather();
    if (!said && length == 0) {
      return Optional.empty();
    }
    byte[] gathered = new String(text, 0, length).getBytes(StandardCharsets.UTF_8);
    Statement statement = new StatementParser(gathered, names).statement(0, gathered.length, first);
    if (length > LONGEST) {
      throw new FaultyStatementException(
          first, "a statement is longer than %d characters".formatted(LONGEST));
    }
    return Optional.of(statement);
  }

  /**
   * Gathers up to the next semicolon that stands neither in a string nor in a comment; nothing
   * where only blanks and comments are left.
   *
   * @return true where there is a semicolon
   */
  private boolean gather() throws IOException {
    length = 0;
    boolean quoted = false;
    boolean comment = false;
    boolean content = false;
    int before = 0;
    for (int sign = reader.read(); sign >= 0; sign = reader.read()) {
      add((char) sign);
      line += sign == '\n' ? 1 : 0;
      if (comment) {
        comment = !(before == '*' && sign == '/');
        sign = comment ? sign : ' ';
      } else if (sign == '\'') {
        quoted = !quoted;
        content = true;
      } else if (!quoted && sign == ';') {
        return true;
      } else if (!quoted && before == '/' && sign == '*') {
        comment = true;
        sign = ' ';
      } else {
        content = content || !Character.isWhitespace(sign) && sign != '/';
      }
      before = sign;
      if (length > LONGEST) {
        return true;
      }
    }
    length = content || comment ? length : 0;
    return false;
  }

  private void add(char sign) {
    if (length == text.length) {
      text = Arrays.copyOf(text, 2 * length);
    }
    text[length++] = sign;
  }

  @Override
  public void close() throws IOException {
    reader.close();
  }
}
