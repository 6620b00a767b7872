package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Unified threads, {@code 1/4-20}, {@code #8-32 UNC}, {@code 3/8 UNF}, {@code UNEF 1/2}. A count
 * that is not the one of the series beside it names no size. Source: ASME B1.1.
 */
@AutoService(ThreadSystem.class)
public final class UnifiedThread implements ThreadSystem {

  private static final String SERIES = "(UNC|UNF|UNEF|UNS|UN|NC|NF)";
  private static final Pattern NUMBERED =
      Pattern.compile(
          "(?:"
              + SERIES
              + " ?)?(?:#|NO\\.? ?)(\\d{1,2})(?: ?[-X ] ?(\\d{1,2}))?(?: ?-?"
              + SERIES
              + ")?");
  private static final Pattern FRACTION =
      Pattern.compile(
          "(?:"
              + SERIES
              + " ?)?"
              + Inches.SIZE
              + "(?: ?[-X ] ?(\\d{1,2}(?:\\.5)?))?(?: ?-?"
              + SERIES
              + ")?");
  private static final Map<String, Map<String, String>> THREADS =
      Map.of(
          "UNC",
          Inches.table(
              "#1=64,#2=56,#3=48,#4=40,#5=40,#6=32,#8=32,#10=24,#12=24,1/4=20,5/16=18,3/8=16,7/16=14,"
                  + "1/2=13,9/16=12,5/8=11,3/4=10,7/8=9,1=8,1 1/8=7,1 1/4=7,1 3/8=6,1 1/2=6,"
                  + "1 3/4=5,2=4.5"),
          "UNF",
          Inches.table(
              "#0=80,#1=72,#2=64,#3=56,#4=48,#5=44,#6=40,#8=36,#10=32,#12=28,1/4=28,5/16=24,3/8=24,"
                  + "7/16=20,1/2=20,9/16=18,5/8=18,3/4=16,7/8=14,1=12,1 1/8=12,1 1/4=12,1 3/8=12,"
                  + "1 1/2=12"),
          "UNEF",
          Inches.table(
              "#12=32,1/4=32,5/16=32,3/8=32,7/16=28,1/2=28,9/16=24,5/8=24,3/4=20,7/8=20,1=20,"
                  + "1 1/8=18,1 1/4=18,1 3/8=18,1 1/2=18"));
  private static final BigDecimal NUMBER_ZERO = new BigDecimal("1.524");
  private static final BigDecimal NUMBER_STEP = new BigDecimal("0.3302");

  @Override
  public Optional<ThreadSize> read(String text) {
    Matcher numbered = NUMBERED.matcher(text);
    if (numbered.matches()) {
      BigDecimal number = new BigDecimal(numbered.group(2));
      BigDecimal diameter = NUMBER_ZERO.add(NUMBER_STEP.multiply(number)).stripTrailingZeros();
      return size("#" + number, diameter, numbered);
    }
    Matcher fraction = FRACTION.matcher(text);
    return fraction.matches()
        ? Inches.millimetres(fraction.group(2))
            .flatMap(diameter -> size(fraction.group(2).replace('-', ' '), diameter, fraction))
        : Optional.empty();
  }

  private static Optional<ThreadSize> size(String name, BigDecimal diameter, Matcher parts) {
    String series = parts.group(1) == null ? parts.group(4) : parts.group(1);
    String written = parts.group(3);
    if (series == null && written == null) {
      return Optional.empty();
    }
    String usual = series == null ? null : THREADS.getOrDefault(full(series), Map.of()).get(name);
    String threads = written == null ? usual : written;
    boolean contradicts = usual != null && written != null && !usual.equals(written);
    return threads == null || contradicts || new BigDecimal(threads).signum() == 0
        ? Optional.empty()
        : Optional.of(Inches.size(diameter, threads));
  }

  private static String full(String series) {
    return series.startsWith("N") ? "U" + series : series;
  }
}
