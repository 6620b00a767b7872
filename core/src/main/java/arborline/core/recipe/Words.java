package arborline.core.recipe;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/** Words as they are compared: lower case, without accents and signs. */
final class Words {

  private static final Pattern MARKS = Pattern.compile("\\p{M}+");
  private static final Pattern OTHER = Pattern.compile("[^\\p{L}\\p{N}]+");
  private static final Pattern DIAMETER = Pattern.compile("[\u00d8\u00f8\u2300\u2205]");

  private Words() {}

  /** {@code Schaft-Ø} as {@code schaft dia}, {@code Zähne} as {@code zahne}. */
  static String normal(String text) {
    String signs = DIAMETER.matcher(text).replaceAll(" dia ");
    String plain = MARKS.matcher(Normalizer.normalize(signs, Normalizer.Form.NFKD)).replaceAll("");
    return OTHER
        .matcher(plain.toLowerCase(Locale.ROOT).replace("\u00df", "ss"))
        .replaceAll(" ")
        .strip();
  }
}
