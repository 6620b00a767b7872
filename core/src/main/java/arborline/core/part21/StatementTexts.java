package arborline.core.part21;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * Cuts the text of a file, in UTF-8, into statements: at each semicolon that stands neither in a
 * string nor in a comment. A string that is still open where the next line begins an instance is
 * taken as a quotation mark that went astray: the statement ends there.
 */
final class StatementTexts {

  /** From here on a text is no statement that anybody wrote. */
  static final int LONGEST = 4 * 1024 * 1024;

  private static final int FEWEST = 1024;

  /** Bytes of a usual statement. */
  private static final int USUAL = 40;

  private final byte[] file;
  private int[] starts;
  private int[] ends;
  private int[] lines;
  private int size;
  private int at;
  private int line = 1;

  /** True once no comment is closed any more. */
  private boolean endless;

  StatementTexts(byte[] file) {
    this.file = file;
    int expected = Math.max(FEWEST, file.length / USUAL);
    this.starts = new int[expected];
    this.ends = new int[expected];
    this.lines = new int[expected];
    skipBlanksAndComments();
  }

  /** True where another one begins; what stands behind the last semicolon is one more. */
  boolean more() {
    return at < file.length;
  }

  /** Where the next one begins. */
  int at() {
    return at;
  }

  /** Where the line stands to which everything is cut. */
  int line() {
    return line;
  }

  /** Cuts off the next one; its index. */
  int cut() {
    find();
    skipBlanksAndComments();
    return size - 1;
  }

  /**
   * Cuts off the next one where somebody else has found its end.
   *
   * @param end behind its semicolon
   * @param lineEnds within it
   * @return its index
   */
  int cut(int end, int lineEnds) {
    int start = at;
    at = end - 1;
    add(start, line);
    line += lineEnds;
    at = end;
    skipBlanksAndComments();
    return size - 1;
  }

  /** Where a statement begins. */
  int start(int index) {
    return starts[index];
  }

  /** Where it ends: at its semicolon, or where it is given up. */
  int end(int index) {
    return ends[index];
  }

  /** On which line it begins, from 1. */
  int line(int index) {
    return lines[index];
  }

  /** Its text without the semicolon. */
  String text(int index) {
    return new String(file, starts[index], ends[index] - starts[index], StandardCharsets.UTF_8);
  }

  private void find() {
    int start = at;
    int startLine = line;
    boolean quoted = false;
    int most = (int) Math.min(file.length, (long) start + LONGEST);
    while (at < most) {
      byte sign = file[at];
      if (sign == '\'') {
        quoted = !quoted;
      } else if (sign == '\n') {
        line++;
        if (quoted && instanceBegins(at + 1)) {
          add(start, startLine);
          at++;
          return;
        }
      } else if (!quoted && sign == ';') {
        add(start, startLine);
        at++;
        return;
      } else if (!quoted && sign == '/' && comment()) {
        passComment();
        continue;
      }
      at++;
    }
    add(start, startLine);
  }

  private void add(int start, int startLine) {
    if (size == starts.length) {
      starts = Arrays.copyOf(starts, 2 * size);
      ends = Arrays.copyOf(ends, 2 * size);
      lines = Arrays.copyOf(lines, 2 * size);
    }
    starts[size] = start;
    ends[size] = Math.min(at, file.length);
    lines[size++] = startLine;
  }

  private void skipBlanksAndComments() {
    while (at < file.length) {
      byte sign = file[at];
      if (sign <= ' ' && Character.isWhitespace(sign)) {
        line += sign == '\n' ? 1 : 0;
        at++;
      } else if (comment()) {
        passComment();
      } else {
        return;
      }
    }
  }

  private boolean comment() {
    return file[at] == '/' && at + 1 < file.length && file[at + 1] == '*';
  }

  /** A comment that nobody closes ends with its line. */
  private void passComment() {
    int end = endless ? -1 : closed(at + 2);
    endless = end < 0;
    int past = end >= 0 ? end : lineEnd();
    for (int i = at; i < past; i++) {
      line += file[i] == '\n' ? 1 : 0;
    }
    at = past;
  }

  /** Behind the end of a comment; below 0 where it has none. */
  private int closed(int from) {
    for (int i = from; i + 1 < file.length; i++) {
      if (file[i] == '*' && file[i + 1] == '/') {
        return i + 2;
      }
    }
    return -1;
  }

  private int lineEnd() {
    int i = at;
    while (i < file.length && file[i] != '\n') {
      i++;
    }
    return i;
  }

  /** True where {@code #12=} stands at a place. */
  private boolean instanceBegins(int place) {
    int i = place;
    while (i < file.length && (file[i] == ' ' || file[i] == '\t')) {
      i++;
    }
    if (i >= file.length || file[i] != '#') {
      return false;
    }
    int digits = ++i;
    while (i < file.length && Character.isDigit(file[i])) {
      i++;
    }
    while (i < file.length && file[i] == ' ') {
      i++;
    }
    return i > digits && i < file.length && file[i] == '=';
  }
}
