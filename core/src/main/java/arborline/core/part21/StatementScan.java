package arborline.core.part21;

import java.util.Arrays;

/**
 * Passes over one plain statement of an instance without keeping its values: what number it has,
 * which entities it consists of and to which instances it refers. What is not plain (comments,
 * small letters, strings over several lines, whatever is wrong) it does not pass: {@link
 * StatementParser} says what that is. Whatever it passes the parser reads. Source: ISO 10303-21,
 * clear text encoding.
 */
final class StatementScan {

  private static final int LONGEST = 100_000;
  private static final int DEEPEST = 20;
  private static final int MOST_DIGITS = 18;
  private static final int SIGNS = 256;

  /** What may begin or go on with which sign. */
  private static final byte[] CLASSES = new byte[SIGNS];

  private static final byte OF_NUMBER = 1;
  private static final byte OF_NAME = 2;
  private static final byte BLANK = 4;

  static {
    for (char sign = '0'; sign <= '9'; sign++) {
      CLASSES[sign] = OF_NUMBER | OF_NAME;
    }
    for (char sign = 'A'; sign <= 'Z'; sign++) {
      CLASSES[sign] = OF_NAME;
    }
    CLASSES['E'] |= OF_NUMBER;
    CLASSES['e'] = OF_NUMBER;
    CLASSES['_'] = OF_NAME;
    CLASSES['.'] = OF_NUMBER;
    CLASSES['-'] = OF_NUMBER;
    CLASSES['+'] = OF_NUMBER;
    CLASSES[' '] = BLANK;
    CLASSES['\t'] = BLANK;
    CLASSES['\r'] = BLANK;
    CLASSES['\n'] = BLANK;
  }

  private final byte[] text;
  private final Names names;
  private final int[] entities = new int[64];
  private int entityCount;
  private long[] references = new long[64];
  private int referenceCount;
  private long id;
  private int at;
  private int to;
  private int lines;

  StatementScan(byte[] text, Names names) {
    this.text = text;
    this.names = names;
  }

  long id() {
    return id;
  }

  /** The place behind its semicolon. */
  int end() {
    return at;
  }

  /** How many line ends stand within it. */
  int lines() {
    return lines;
  }

  int entities() {
    return entityCount;
  }

  /** The number of the name of one. */
  int entity(int index) {
    return entities[index];
  }

  int references() {
    return referenceCount;
  }

  long reference(int index) {
    return references[index];
  }

  /** True where a plain statement of an instance begins at a place; only then the rest counts. */
  boolean passes(int start) {
    at = start;
    to = Math.min(text.length, start + LONGEST);
    entityCount = 0;
    referenceCount = 0;
    lines = 0;
    id = number();
    if (id <= 0 || !sign('=')) {
      return false;
    }
    blanks();
    boolean whole = at < to && text[at] == '(' ? partial() : entity();
    return whole && sign(';');
  }

  private void blanks() {
    if (at < to && text[at] <= ' ' && text[at] > 0) {
      passBlanks();
    }
  }

  private void passBlanks() {
    while (at < to && is(text[at], BLANK)) {
      lines += text[at++] == '\n' ? 1 : 0;
    }
  }

  /** Passes blanks and a sign. */
  private boolean sign(char wanted) {
    blanks();
    return at < to && text[at++] == wanted;
  }

  /** The number behind a sharp sign; below 0 where there is none. */
  private long number() {
    int first = at + 1;
    int place = first;
    long number = 0;
    while (place < to && text[place] >= '0' && text[place] <= '9') {
      number = number * 10 + text[place++] - '0';
    }
    at = place;
    return at > first && at - first <= MOST_DIGITS ? number : -1;
  }

  private boolean partial() {
    at++;
    do {
      blanks();
      if (entityCount == entities.length || !entity()) {
        return false;
      }
      blanks();
    } while (at < to && text[at] != ')');
    return sign(')');
  }

  private boolean entity() {
    int start = at;
    passName();
    if (at == start) {
      return false;
    }
    entities[entityCount++] = names.at(text, start, at);
    blanks();
    return arguments(1);
  }

  private void passName() {
    pass(OF_NAME);
  }

  private void pass(byte kind) {
    int place = at;
    while (place < to && is(text[place], kind)) {
      place++;
    }
    at = place;
  }

  private static boolean is(byte sign, byte kind) {
    return (CLASSES[sign & 0xFF] & kind) != 0;
  }

  private boolean arguments(int depth) {
    if (at == to || text[at] != '(' || depth > DEEPEST) {
      return false;
    }
    at++;
    blanks();
    if (at < to && text[at] == ')') {
      at++;
      return true;
    }
    while (at < to && argument(depth)) {
      blanks();
      if (at == to) {
        return false;
      }
      byte sign = text[at++];
      if (sign != ',') {
        return sign == ')';
      }
      blanks();
    }
    return false;
  }

  private boolean argument(int depth) {
    byte sign = text[at];
    switch (sign) {
      case '#' -> {
        return reference();
      }
      case '\'' -> {
        return string();
      }
      case '(' -> {
        return arguments(depth + 1);
      }
      case '.' -> {
        return word();
      }
      case '$', '*' -> {
        at++;
        return true;
      }
      default -> {
        return is(sign, OF_NUMBER) && sign < 'A' ? value() : typed(depth);
      }
    }
  }

  private boolean reference() {
    long number = number();
    if (referenceCount == references.length) {
      references = Arrays.copyOf(references, 2 * referenceCount);
    }
    references[referenceCount++] = number;
    return number >= 0;
  }

  /** A string of one line. */
  private boolean string() {
    int place = at + 1;
    while (place < to && text[place] != '\n') {
      if (text[place++] == '\'') {
        if (place == to || text[place] != '\'') {
          at = place;
          return true;
        }
        place++;
      }
    }
    return false;
  }

  private boolean word() {
    at++;
    passName();
    return at < to && text[at++] == '.';
  }

  private boolean value() {
    pass(OF_NUMBER);
    return true;
  }

  private boolean typed(int depth) {
    if (text[at] < 'A' || text[at] > 'Z') {
      return false;
    }
    passName();
    blanks();
    return at < to && text[at] != '(' || arguments(depth + 1);
  }
}
