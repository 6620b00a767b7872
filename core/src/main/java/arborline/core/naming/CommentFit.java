package arborline.core.naming;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What is left of a text in the comment of a control, which is short and knows few characters. */
public final class CommentFit {

  private static final Map<String, String> WRITTEN_OUT =
      Map.of(
          "Ø", "D", "ø", "D", "µ", "U", "°", "DEG", "×", "X", "ß", "SS", "½", "1/2", "¼", "1/4",
          "\"", "IN", "–", "-");
  private static final Map<String, String> GERMAN =
      Map.of("Ä", "AE", "Ö", "OE", "Ü", "UE", "ä", "ae", "ö", "oe", "ü", "ue");

  /** Trade words and what a setter still understands, the least telling first. */
  private static final List<Map.Entry<String, String>> SHORT =
      List.of(
          Map.entry("coated", "ctd"),
          Map.entry("carbide", "carb"),
          Map.entry("with", "w"),
          Map.entry("diameter", "d"),
          Map.entry("flutes", "fl"),
          Map.entry("radius", "r"),
          Map.entry("corner", "crn"),
          Map.entry("chamfer", "chmf"),
          Map.entry("roughing", "rgh"),
          Map.entry("finishing", "fin"),
          Map.entry("turning", "trn"),
          Map.entry("external", "ext"),
          Map.entry("internal", "int"),
          Map.entry("countersink", "csk"),
          Map.entry("counterbore", "cbore"),
          Map.entry("reamer", "rmr"),
          Map.entry("thread", "thrd"),
          Map.entry("square", "sq"),
          Map.entry("mill", "ml"),
          Map.entry("drill", "drl"),
          Map.entry("end", "e"));

  private CommentFit() {}

  /**
   * A comment as a control can keep it.
   *
   * @param length its characters
   * @param most the most that the control keeps
   * @param changes what had to be given up, in words; empty where nothing had
   */
  public record Fitted(String text, int length, int most, List<String> changes) {}

  /**
   * Fits a text.
   *
   * @param characters the allowed ones, as the inside of a regular expression class
   * @param most longest comment; 0 where the control keeps none
   */
  public static Fitted fit(String text, String characters, int most) {
    List<String> changes = new ArrayList<>();
    if (most == 0) {
      return new Fitted(
          "", 0, 0, text.isEmpty() ? List.of() : List.of("this control keeps no comment"));
    }
    String allowed = allowed(text.strip(), characters, changes);
    String fitted = shorter(allowed, most, changes);
    if (fitted.length() > most) {
      String kept = cut(fitted, most);
      changes.add("'%s' is cut off".formatted(fitted.substring(kept.length()).strip()));
      fitted = kept;
    }
    return new Fitted(fitted, fitted.length(), most, changes);
  }

  /** The beginning of a text, up to the end of a word where that keeps at least half of it. */
  private static String cut(String text, int most) {
    int space = text.lastIndexOf(' ', most);
    return text.substring(0, space >= most / 2 ? space : most).strip();
  }

  private static String allowed(String text, String characters, List<String> changes) {
    String one = "[" + characters + "]";
    boolean small = "a".matches(one);
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .forEach(point -> {
          String sign = Character.toString(point);
          String cased = small ? sign : sign.toUpperCase(Locale.ROOT);
          if (cased.matches(one + "+")) {
            out.append(cased);
          } else {
            String instead = instead(sign, small, one);
            changes.add(
                instead.isEmpty()
                    ? "'%s' is left out".formatted(sign)
                    : "'%s' becomes '%s'".formatted(sign, instead));
            out.append(instead);
          }
        });
    return out.toString();
  }

  private static String instead(String sign, boolean small, String one) {
    String bare = Normalizer.normalize(sign, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
    for (String candidate :
        new String[] {WRITTEN_OUT.get(sign), GERMAN.get(sign), bare, "-", " "}) {
      String cased = candidate == null || small ? candidate : candidate.toUpperCase(Locale.ROOT);
      if (cased != null && cased.matches(one + "+")) {
        return cased;
      }
    }
    return "";
  }

  private static String shorter(String text, int most, List<String> changes) {
    String shorter = text;
    for (Map.Entry<String, String> word : SHORT) {
      if (shorter.length() <= most) {
        return shorter;
      }
      boolean small = !shorter.equals(shorter.toUpperCase(Locale.ROOT));
      String by = small ? word.getValue() : word.getValue().toUpperCase(Locale.ROOT);
      String next = shorter.replaceAll("(?i)(?<![\\p{L}])" + word.getKey() + "(?![\\p{L}])", by);
      if (!next.equals(shorter)) {
        changes.add("%s is written %s".formatted(word.getKey(), by));
      }
      shorter = next;
    }
    return shorter;
  }
}
