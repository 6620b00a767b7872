package arborline.core.part21;

import arborline.core.exchange.UnreadableFileException;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads the statements of a file one by one; comments are passed over. */
final class PhysicalFile implements AutoCloseable {

  private static final int LONGEST = 4 * 1024 * 1024;
  private static final int DEEPEST = 50;
  private static final int MOST_ARGUMENTS = 100_000;

  private final Reader text;
  private long line;
  private int sign;
  private int length;

  PhysicalFile(Reader reader) throws IOException {
    this(new BufferedReader(reader), 1);
  }

  /**
   * Reads from the middle of a file.
   *
   * @param first number of the line on which it begins
   */
  PhysicalFile(Reader text, long first) throws IOException {
    this.text = text;
    this.line = first;
    advance();
  }

  /**
   * The next statement, or nothing at the end.
   *
   * @throws UnreadableFileException with the line, where something else stands there
   */
  Optional<Statement> next() throws IOException {
    length = 0;
    blanks();
    if (sign < 0) {
      return Optional.empty();
    }
    long start = line;
    long id = 0;
    if (sign == '#') {
      id = reference();
      blanks();
      expect('=');
      blanks();
    }
    List<Entity> entities = new ArrayList<>();
    if (sign == '(') {
      advance();
      blanks();
      do {
        entities.add(entity(0));
        blanks();
      } while (sign != ')');
      advance();
    } else {
      entities.add(entity(0));
    }
    blanks();
    expect(';');
    return Optional.of(new Statement(start, id, entities));
  }

  private void advance() throws IOException {
    if (sign == '\n') {
      line++;
    }
    sign = text.read();
    if (++length > LONGEST) {
      throw fault("a statement is longer than %d characters".formatted(LONGEST));
    }
  }

  private UnreadableFileException fault(String what) {
    return new FaultyStatementException(line, what);
  }

  private UnreadableFileException unexpected() {
    return fault(
        sign < 0
            ? "the file ends within a statement"
            : "'%s' is not expected here".formatted((char) sign));
  }

  private void expect(char wanted) throws IOException {
    if (sign != wanted) {
      throw unexpected();
    }
    advance();
  }

  private void blanks() throws IOException {
    while (sign >= 0) {
      if (Character.isWhitespace(sign)) {
        advance();
      } else if (sign == '/') {
        advance();
        expect('*');
        comment();
      } else {
        return;
      }
    }
  }

  private void comment() throws IOException {
    int before = 0;
    while (!(before == '*' && sign == '/')) {
      if (sign < 0) {
        throw fault("a comment is not closed");
      }
      before = sign;
      advance();
    }
    advance();
  }

  private long reference() throws IOException {
    expect('#');
    StringBuilder digits = new StringBuilder();
    while (sign >= '0' && sign <= '9' && digits.length() < 18) {
      digits.append((char) sign);
      advance();
    }
    if (digits.isEmpty()) {
      throw unexpected();
    }
    return Long.parseLong(digits.toString());
  }

  private Entity entity(int depth) throws IOException {
    StringBuilder name = new StringBuilder();
    while (Character.isLetterOrDigit(sign) || sign == '_' || sign == '-' || sign == '!') {
      name.append((char) sign);
      advance();
    }
    if (name.isEmpty()) {
      throw unexpected();
    }
    blanks();
    List<Argument> arguments = sign == '(' ? arguments(depth + 1) : List.of();
    return new Entity(name.toString().toUpperCase(Locale.ROOT), arguments);
  }

  private List<Argument> arguments(int depth) throws IOException {
    if (depth > DEEPEST) {
      throw fault("more than %d brackets in one another".formatted(DEEPEST));
    }
    expect('(');
    List<Argument> arguments = new ArrayList<>();
    blanks();
    while (sign != ')') {
      arguments.add(argument(depth));
      if (arguments.size() > MOST_ARGUMENTS) {
        throw fault("more than %d arguments".formatted(MOST_ARGUMENTS));
      }
      blanks();
      if (sign == ',') {
        advance();
        blanks();
      } else if (sign != ')') {
        throw unexpected();
      }
    }
    advance();
    return arguments;
  }

  private Argument argument(int depth) throws IOException {
    return switch (sign) {
      case '\'' -> new Argument.Text(Part21Text.decoded(quoted()));
      case '#' -> new Argument.Reference(reference());
      case '(' -> new Argument.Several(arguments(depth + 1));
      case '$', '*' -> {
        advance();
        yield new Argument.Unset();
      }
      case '.' -> word();
      case '"' -> binary();
      default -> number(depth);
    };
  }

  private String quoted() throws IOException {
    StringBuilder raw = new StringBuilder();
    advance();
    while (true) {
      if (sign < 0) {
        throw fault("a string is not closed");
      }
      if (sign == '\'') {
        advance();
        if (sign != '\'') {
          return raw.toString();
        }
      }
      raw.append((char) sign);
      advance();
    }
  }

  private Argument word() throws IOException {
    StringBuilder word = new StringBuilder();
    advance();
    while (Character.isLetterOrDigit(sign) || sign == '_') {
      word.append((char) sign);
      advance();
    }
    expect('.');
    return new Argument.Word(word.toString());
  }

  private Argument binary() throws IOException {
    StringBuilder digits = new StringBuilder();
    advance();
    while (Character.isLetterOrDigit(sign)) {
      digits.append((char) sign);
      advance();
    }
    expect('"');
    return new Argument.Text(digits.toString());
  }

  private Argument number(int depth) throws IOException {
    if (Character.isLetter(sign)) {
      return new Argument.Typed(entity(depth + 1));
    }
    StringBuilder literal = new StringBuilder();
    while (sign >= 0 && "+-.0123456789eE".indexOf(sign) >= 0) {
      literal.append((char) sign);
      advance();
    }
    if (literal.isEmpty()) {
      throw unexpected();
    }
    return new Argument.Number(literal.toString());
  }

  @Override
  public void close() throws IOException {
    text.close();
  }
}
