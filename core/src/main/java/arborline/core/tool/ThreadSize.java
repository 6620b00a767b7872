package arborline.core.tool;

import arborline.core.tool.thread.ThreadSystem;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.regex.Pattern;

/**
 * Diameter and pitch that a thread size names; every {@link ThreadSystem} is asked.
 *
 * @param diameter nominal (major) diameter, mm
 * @param pitch mm
 */
public record ThreadSize(BigDecimal diameter, BigDecimal pitch) {

  private static final int LONGEST = 40;
  private static final Pattern BLANKS = Pattern.compile("[\\s\\u00a0]+");
  private static final Pattern HAND = Pattern.compile("[ -](?:LH|RH)$");
  private static final Pattern TOLERANCE =
      Pattern.compile(
          "(?<=[\\dCF])(?: ?- ?| )(?:\\d[A-HX]X?(?:\\d[A-H])?|[123][AB])(?:[ -]?MOD)?$");
  private static final Pattern BROKEN =
      Pattern.compile("(?<=\\d)(?=[\u00bc\u00bd\u00be\u215b-\u215e])");
  private static final List<String[]> WRITTEN =
      List.of(
          new String[] {"\u00bc", "1/4"},
          new String[] {"\u00bd", "1/2"},
          new String[] {"\u00be", "3/4"},
          new String[] {"\u215b", "1/8"},
          new String[] {"\u215c", "3/8"},
          new String[] {"\u215d", "5/8"},
          new String[] {"\u215e", "7/8"},
          new String[] {"\u2044", "/"},
          new String[] {"\u2013", "-"},
          new String[] {"\u00d7", "X"},
          new String[] {",", "."},
          new String[] {"''", ""},
          new String[] {"\"", ""},
          new String[] {"\u2033", ""},
          new String[] {"\u201d", ""});
  private static final List<ThreadSystem> SYSTEMS =
      ServiceLoader.load(ThreadSystem.class, ThreadSystem.class.getClassLoader()).stream()
          .map(ServiceLoader.Provider::get)
          .toList();

  /**
   * Reads {@code M10}, {@code M8x1,25-6H}, {@code 1/4-20 UNC}, {@code #8-32}, {@code G1/2}, {@code
   * 1/8-27 NPT}, {@code Tr16x4}; empty for what is no size of a system that we know.
   */
  public static Optional<ThreadSize> parse(String text) {
    if (text.length() > LONGEST) {
      return Optional.empty();
    }
    String plain = plain(text);
    return SYSTEMS.stream().flatMap(system -> system.read(plain).stream()).findFirst();
  }

  private static String plain(String text) {
    String plain = BROKEN.matcher(text).replaceAll(" ");
    for (String[] rewriting : WRITTEN) {
      plain = plain.replace(rewriting[0], rewriting[1]);
    }
    plain = BLANKS.matcher(plain.toUpperCase(Locale.ROOT).strip()).replaceAll(" ");
    plain = HAND.matcher(plain).replaceAll("");
    return TOLERANCE.matcher(plain).replaceAll("");
  }
}
