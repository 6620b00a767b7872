package arborline.core.part21;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Strings as they stand between quotation marks. Source: ISO 10303-21, section 6.4.3. */
final class Part21Text {

  private static final Pattern DIRECTIVE =
      Pattern.compile(
          "\\\\(?:(?<slash>\\\\)|X2\\\\(?<two>(?:[0-9A-Fa-f]{4})*)\\\\X0\\\\"
              + "|X4\\\\(?<four>(?:[0-9A-Fa-f]{8})*)\\\\X0\\\\|X\\\\(?<byte>[0-9A-Fa-f]{2})"
              + "|S\\\\(?<shifted>.)|P(?<page>[A-I])\\\\|[NF]\\\\)",
          Pattern.DOTALL);
  private static final int HALF = 128;
  private static final int HEX = 16;
  private static final int TWO = 4;
  private static final int FOUR = 8;

  private Part21Text() {}

  /** With quotation marks around it. */
  static String quoted(String text) {
    StringBuilder coded = new StringBuilder(text.length() + 2).append('\'');
    for (char sign : text.toCharArray()) {
      if (sign == '\'') {
        coded.append("''");
      } else if (sign == '\\') {
        coded.append("\\\\");
      } else if (sign < ' ' || sign > '~') {
        coded.append("\\X2\\%04X\\X0\\".formatted((int) sign));
      } else {
        coded.append(sign);
      }
    }
    return coded.append('\'').toString();
  }

  /** Without directives; doubled quotation marks are single ones already. */
  static String decoded(String raw) {
    if (raw.indexOf('\\') < 0) {
      return raw;
    }
    Matcher directives = DIRECTIVE.matcher(raw);
    StringBuilder text = new StringBuilder();
    Charset page = StandardCharsets.ISO_8859_1;
    while (directives.find()) {
      page = directives.group("page") == null ? page : page(directives.group("page").charAt(0));
      directives.appendReplacement(text, Matcher.quoteReplacement(replaced(directives, page)));
    }
    return directives.appendTail(text).toString();
  }

  /** The part of ISO 8859 that shifted characters are of: {@code A} for the first. */
  private static Charset page(char letter) {
    return Charset.forName("ISO-8859-" + (letter - 'A' + 1));
  }

  private static String replaced(Matcher found, Charset page) {
    if (found.group("slash") != null) {
      return "\\";
    }
    if (found.group("two") != null) {
      return units(found.group("two"), TWO);
    }
    if (found.group("four") != null) {
      return units(found.group("four"), FOUR);
    }
    if (found.group("byte") != null) {
      return String.valueOf((char) Integer.parseInt(found.group("byte"), HEX));
    }
    return found.group("shifted") == null
        ? ""
        : new String(new byte[] {(byte) (found.group("shifted").charAt(0) + HALF)}, page);
  }

  private static String units(String digits, int each) {
    StringBuilder text = new StringBuilder();
    for (int i = 0; i + each <= digits.length(); i += each) {
      int code = (int) Long.parseLong(digits.substring(i, i + each), HEX);
      if (each == TWO) {
        text.append((char) code);
      } else {
        text.append(Character.isValidCodePoint(code) ? Character.toString(code) : "\uFFFD");
      }
    }
    return text.toString();
  }
}
