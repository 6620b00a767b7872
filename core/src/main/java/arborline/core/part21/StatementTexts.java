package arborline.core.part21;

import java.util.ArrayList;
import java.util.List;

/**
 * Cuts the text of a file into statements: at each semicolon that stands neither in a string nor in
 * a comment. A string that is still open where the next line begins an instance is taken as a
 * quotation mark that went astray.
 */
final class StatementTexts {

  /** From here on a text is no statement that anybody wrote. */
  static final int LONGEST = 4 * 1024 * 1024;

  /**
   * The text of a statement.
   *
   * @param line on which it begins, from 1
   * @param text without the semicolon
   */
  record StatementText(int line, String text) {}

  private final String file;
  private int at;
  private int line = 1;

  /** True once no comment is closed any more. */
  private boolean endless;

  private StatementTexts(String file) {
    this.file = file;
  }

  /** All of a file; what stands behind the last semicolon is one more. */
  static List<StatementText> of(String file) {
    StatementTexts texts = new StatementTexts(file);
    List<StatementText> all = new ArrayList<>();
    for (StatementText next = texts.next(); next != null; next = texts.next()) {
      all.add(next);
    }
    return all;
  }

  private StatementText next() {
    skipBlanksAndComments();
    if (at >= file.length()) {
      return null;
    }
    int start = at;
    int startLine = line;
    boolean quoted = false;
    while (at < file.length() && at - start < LONGEST) {
      char sign = file.charAt(at);
      if (sign == '\n') {
        line++;
        quoted = quoted && !instanceBegins(at + 1);
      } else if (sign == '\'') {
        quoted = !quoted;
      } else if (!quoted && sign == ';') {
        return new StatementText(startLine, file.substring(start, at++));
      } else if (!quoted && comment()) {
        passComment();
        continue;
      }
      at++;
    }
    return new StatementText(startLine, file.substring(start, at));
  }

  private void skipBlanksAndComments() {
    while (at < file.length()) {
      if (Character.isWhitespace(file.charAt(at))) {
        line += file.charAt(at) == '\n' ? 1 : 0;
        at++;
      } else if (comment()) {
        passComment();
      } else {
        return;
      }
    }
  }

  private boolean comment() {
    return file.startsWith("/*", at);
  }

  /** A comment that nobody closes ends with its line. */
  private void passComment() {
    int end = endless ? -1 : file.indexOf("*/", at + 2);
    endless = end < 0;
    int lineEnd = file.indexOf('\n', at);
    int past = end >= 0 ? end + 2 : lineEnd >= 0 ? lineEnd : file.length();
    for (int i = at; i < past; i++) {
      line += file.charAt(i) == '\n' ? 1 : 0;
    }
    at = past;
  }

  /** True where {@code #12=} stands at a place. */
  private boolean instanceBegins(int place) {
    int i = place;
    while (i < file.length() && (file.charAt(i) == ' ' || file.charAt(i) == '\t')) {
      i++;
    }
    if (i >= file.length() || file.charAt(i) != '#') {
      return false;
    }
    int digits = ++i;
    while (i < file.length() && Character.isDigit(file.charAt(i))) {
      i++;
    }
    while (i < file.length() && file.charAt(i) == ' ') {
      i++;
    }
    return i > digits && i < file.length() && file.charAt(i) == '=';
  }
}
