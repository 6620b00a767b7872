package arborline.core.library;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What of codes and names a search compares: letters and digits, without case and accents. A word
 * is found by its beginning, and also by that of each number and each run of letters within it:
 * {@code EM-0800R05} by {@code em08}, {@code 0800} and {@code r05}.
 */
public final class SearchWords {

  /** So many letters of a word are kept and compared. */
  public static final int LONGEST_WORD = 24;

  /** So long is the text of {@link #text} at most. */
  public static final int LONGEST_TEXT = 600;

  private static final Pattern GAPS = Pattern.compile("\\s+");
  private static final Pattern MARKS = Pattern.compile("\\p{M}+");

  private SearchWords() {}

  /** The words by whose beginnings a tool is found. */
  public static Set<String> of(String code, String name) {
    Set<String> words = new LinkedHashSet<>();
    for (String chunk : GAPS.split(plain(code + " " + name))) {
      addEndings(chunk, words);
    }
    return words;
  }

  /** These words as one text, each after a space; what does not fit into it is left out. */
  public static String text(Collection<String> words) {
    StringBuilder text = new StringBuilder();
    for (String word : words) {
      if (text.length() + 1 + word.length() > LONGEST_TEXT) {
        break;
      }
      text.append(' ').append(word);
    }
    return text.toString();
  }

  /** The words of such a text. */
  public static List<String> parts(String text) {
    return text.isBlank() ? List.of() : List.of(text.strip().split(" "));
  }

  /**
   * The beginnings that a tool must have words of to be found by a typed word; none where that has
   * neither letters nor digits.
   */
  public static List<String> beginnings(String typed) {
    String plain = plain(typed);
    List<String> parts = new ArrayList<>();
    StringBuilder part = new StringBuilder();
    for (int at = 0; at < plain.length(); at += width(plain, at)) {
      int letter = letter(plain, at);
      if (letter != 0) {
        part.appendCodePoint(letter);
      } else if (!part.isEmpty()) {
        parts.add(cut(part.toString()));
        part.setLength(0);
      }
    }
    if (!part.isEmpty()) {
      parts.add(cut(part.toString()));
    }
    return parts;
  }

  private static String plain(String text) {
    String lower = text.toLowerCase(Locale.ROOT);
    boolean ascii = lower.chars().allMatch(letter -> letter < 0x80);
    return ascii
        ? lower
        : MARKS.matcher(Normalizer.normalize(lower, Normalizer.Form.NFKD)).replaceAll("");
  }

  /** All endings of a text without its separators that begin where something else begins. */
  private static void addEndings(String chunk, Set<String> words) {
    StringBuilder joined = new StringBuilder();
    List<Integer> begins = new ArrayList<>();
    Kind before = Kind.SEPARATOR;
    for (int at = 0; at < chunk.length(); at += width(chunk, at)) {
      int letter = letter(chunk, at);
      Kind kind = Kind.of(letter);
      if (kind != Kind.SEPARATOR && kind != Kind.POINT && before != Kind.POINT) {
        if (kind != before || kind == Kind.IDEOGRAPH) {
          begins.add(joined.length());
        }
      }
      if (kind != Kind.SEPARATOR) {
        joined.appendCodePoint(letter);
      }
      before = kind;
    }
    begins.forEach(begin -> words.add(cut(joined.substring(begin))));
  }

  private enum Kind {
    SEPARATOR,
    LETTER,
    DIGIT,
    POINT,
    IDEOGRAPH;

    static Kind of(int letter) {
      if (letter == 0) {
        return SEPARATOR;
      }
      if (letter == '.') {
        return POINT;
      }
      if (Character.isDigit(letter)) {
        return DIGIT;
      }
      return Character.isIdeographic(letter) ? IDEOGRAPH : LETTER;
    }
  }

  private static int width(String text, int at) {
    return Character.charCount(text.codePointAt(at));
  }

  /** The letter or digit that stands there, a point for that of a decimal; 0 for what separates. */
  private static int letter(String text, int at) {
    int letter = text.codePointAt(at);
    if (Character.isLetterOrDigit(letter)) {
      return letter;
    }
    boolean decimal =
        (letter == '.' || letter == ',')
            && at > 0
            && Character.isDigit(text.charAt(at - 1))
            && at + 1 < text.length()
            && Character.isDigit(text.charAt(at + 1));
    return decimal ? '.' : 0;
  }

  private static String cut(String word) {
    if (word.length() <= LONGEST_WORD) {
      return word;
    }
    int end = Character.isHighSurrogate(word.charAt(LONGEST_WORD - 1)) ? 1 : 0;
    return word.substring(0, LONGEST_WORD - end);
  }
}
