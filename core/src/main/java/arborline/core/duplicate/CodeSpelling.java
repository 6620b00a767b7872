package arborline.core.duplicate;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What of a code stays however it is spelt: its letters and numbers, without separators, accents
 * and leading zeros; an O beside a digit is a zero. Two numbers stay two: {@code EM-1-12} is not
 * {@code EM-11-2}.
 */
public final class CodeSpelling {

  private static final Pattern MARKS = Pattern.compile("\\p{M}+");
  private static final Pattern ZERO = Pattern.compile("(?<=[0-9])O|O(?=[0-9])");
  private static final Pattern SEPARATORS = Pattern.compile("[^\\p{L}\\p{N}]+");
  private static final Pattern LEADING_ZEROS = Pattern.compile("(?<![0-9])0+(?=[0-9])");
  private static final Pattern NEEDLESS_GAP =
      Pattern.compile("(?<=\\p{L})\\.|\\.(?=\\p{L})|^\\.|\\.$");

  private CodeSpelling() {}

  /** The same text for all spellings of a code. */
  public static String of(String code) {
    String plain =
        MARKS
            .matcher(Normalizer.normalize(code, Normalizer.Form.NFD))
            .replaceAll("")
            .toUpperCase(Locale.ROOT);
    String zeros = ZERO.matcher(plain).replaceAll("0");
    String gaps = SEPARATORS.matcher(zeros).replaceAll(".");
    return NEEDLESS_GAP.matcher(LEADING_ZEROS.matcher(gaps).replaceAll("")).replaceAll("");
  }
}
