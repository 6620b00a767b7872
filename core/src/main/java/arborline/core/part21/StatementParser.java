package arborline.core.part21;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Reads statements of a text, each up to its semicolon; comments are passed over. Source: ISO
 * 10303-21, clear text encoding.
 */
final class StatementParser {

  private static final int DEEPEST = 50;
  private static final int MOST_ARGUMENTS = 100_000;
  private static final int MOST_DIGITS = 18;
  private static final int LONGEST_SIGN = 4;

  private final byte[] text;
  private final Names names;
  private int from;
  private int to;
  private long firstLine;
  private int at;

  /** Arguments of the lists that are open; those of the innermost last. */
  private Argument[] arguments = new Argument[8];

  private int gathered;

  /** The sign at the place; below 0 at the end. */
  private int sign;

  /** How many bytes it has. */
  private int width;

  StatementParser(byte[] text, Names names) {
    this.text = text;
    this.names = names;
  }

  /**
   * The statement that a part of a text in UTF-8 is.
   *
   * @param start where it begins
   * @param end behind the semicolon
   * @param line on which it begins
   * @throws FaultyStatementException with the line, where something else stands there
   */
  Statement statement(int start, int end, long line) throws FaultyStatementException {
    from = start;
    to = end;
    firstLine = line;
    at = start;
    gathered = 0;
    look();
    return statement();
  }

  private Statement statement() throws FaultyStatementException {
    blanks();
    long start = line();
    long id = 0;
    if (sign == '#') {
      id = reference();
      blanks();
      expect('=');
      blanks();
    }
    List<Entity> entities;
    if (sign == '(') {
      advance();
      blanks();
      entities = new ArrayList<>(4);
      do {
        entities.add(entity(0));
        blanks();
      } while (sign != ')');
      advance();
    } else {
      entities = List.of(entity(0));
    }
    blanks();
    expect(';');
    return new Statement(start, id, entities);
  }

  private void advance() {
    at += width;
    look();
  }

  private void look() {
    width = 1;
    sign = at < to ? text[at] : -1;
    if (sign < 0 && at < to) {
      lookAtSeveral();
    }
  }

  /** A sign beyond ASCII has several bytes. */
  private void lookAtSeveral() {
    int most = Math.min(to - at, LONGEST_SIGN);
    sign = new String(text, at, most, StandardCharsets.UTF_8).codePointAt(0);
    width = Character.toString(sign).getBytes(StandardCharsets.UTF_8).length;
  }

  private String string(int start, int length) {
    return new String(text, start, length, StandardCharsets.UTF_8);
  }

  /** The line at the place. */
  private long line() {
    long line = firstLine;
    for (int i = from; i < Math.min(at, to); i++) {
      line += text[i] == '\n' ? 1 : 0;
    }
    return line;
  }

  private FaultyStatementException fault(String what) {
    return new FaultyStatementException(line(), what);
  }

  private FaultyStatementException unexpected() {
    return fault(
        sign < 0
            ? "the file ends within a statement"
            : "'%s' is not expected here".formatted(Character.toString(sign)));
  }

  private void expect(char wanted) throws FaultyStatementException {
    if (sign != wanted) {
      throw unexpected();
    }
    advance();
  }

  private void blanks() throws FaultyStatementException {
    while (sign >= 0) {
      if (sign <= ' ' || Character.isWhitespace(sign)) {
        if (!Character.isWhitespace(sign)) {
          return;
        }
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

  private void comment() throws FaultyStatementException {
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

  private long reference() throws FaultyStatementException {
    expect('#');
    int start = at;
    long number = 0;
    while (sign >= '0' && sign <= '9' && at - start < MOST_DIGITS) {
      number = number * 10 + sign - '0';
      advance();
    }
    if (at == start) {
      throw unexpected();
    }
    return number;
  }

  private Entity entity(int depth) throws FaultyStatementException {
    int start = at;
    while (isWord(sign) || sign == '-' || sign == '!') {
      advance();
    }
    if (at == start) {
      throw unexpected();
    }
    String name = names.name(names.at(text, start, at));
    blanks();
    List<Argument> arguments = sign == '(' ? arguments(depth + 1) : List.of();
    return new Entity(name, arguments);
  }

  private static boolean isWord(int sign) {
    return sign >= 'A' && sign <= 'Z'
        || sign == '_'
        || sign >= '0' && sign <= '9'
        || sign > ' ' && Character.isLetterOrDigit(sign);
  }

  private List<Argument> arguments(int depth) throws FaultyStatementException {
    if (depth > DEEPEST) {
      throw fault("more than %d brackets in one another".formatted(DEEPEST));
    }
    expect('(');
    int first = gathered;
    blanks();
    while (sign != ')') {
      Argument next = argument(depth);
      if (gathered == arguments.length) {
        arguments = Arrays.copyOf(arguments, 2 * gathered);
      }
      arguments[gathered++] = next;
      if (gathered - first > MOST_ARGUMENTS) {
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
    List<Argument> list = List.of(Arrays.copyOfRange(arguments, first, gathered));
    gathered = first;
    return list;
  }

  private Argument argument(int depth) throws FaultyStatementException {
    return switch (sign) {
      case '\'' -> quoted();
      case '#' -> new Argument.Reference(reference());
      case '(' -> new Argument.Several(arguments(depth + 1));
      case '$', '*' -> {
        advance();
        yield Argument.UNSET;
      }
      case '.' -> word();
      case '"' -> binary();
      default -> number(depth);
    };
  }

  private Argument.Text quoted() throws FaultyStatementException {
    advance();
    int start = at;
    boolean plain = true;
    while (true) {
      if (sign < 0) {
        throw fault("a string is not closed");
      }
      if (sign == '\'') {
        advance();
        if (sign != '\'') {
          break;
        }
        plain = false;
      }
      plain = plain && sign != '\\';
      advance();
    }
    int end = at - 1;
    if (start == end) {
      return Argument.EMPTY;
    }
    String raw = string(start, end - start);
    return new Argument.Text(plain ? raw : Part21Text.decoded(raw.replace("''", "'")));
  }

  private Argument word() throws FaultyStatementException {
    advance();
    int start = at;
    while (isWord(sign)) {
      advance();
    }
    String word = string(start, at - start);
    expect('.');
    return new Argument.Word(word);
  }

  private Argument binary() throws FaultyStatementException {
    advance();
    int start = at;
    while (sign > ' ' && Character.isLetterOrDigit(sign)) {
      advance();
    }
    String digits = string(start, at - start);
    expect('"');
    return new Argument.Text(digits);
  }

  private Argument number(int depth) throws FaultyStatementException {
    if (sign >= 0 && Character.isLetter(sign)) {
      return new Argument.Typed(entity(depth + 1));
    }
    int start = at;
    while (sign >= '0' && sign <= '9'
        || sign == '.'
        || sign == '-'
        || sign == '+'
        || sign == 'E'
        || sign == 'e') {
      advance();
    }
    if (at == start) {
      throw unexpected();
    }
    return new Argument.Number(string(start, at - start));
  }
}
