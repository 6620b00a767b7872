package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * American pipe threads: {@code 1/4-18 NPT}, {@code NPT 1/4}, {@code NPTF}, {@code NPS}. The
 * diameter is the outside diameter of the pipe, mm. Source: ASME B1.20.1.
 */
@AutoService(ThreadSystem.class)
public final class TaperPipeThread implements ThreadSystem {

  private static final String SERIES = "(NPTF|NPT|NPSF|NPSM|NPS)";
  private static final String THREADS_WRITTEN = "(?: ?- ?(\\d{1,2}(?:\\.5)?))?";
  private static final Pattern AFTER =
      Pattern.compile(Inches.SIZE + THREADS_WRITTEN + " ?-?" + SERIES);
  private static final Pattern BEFORE =
      Pattern.compile(SERIES + " ?" + Inches.SIZE + THREADS_WRITTEN);
  private static final Map<String, String> DIAMETERS =
      Inches.table(
          "1/16=7.938,1/8=10.287,1/4=13.716,3/8=17.145,1/2=21.336,3/4=26.670,1=33.401,1 1/4=42.164,"
              + "1 1/2=48.260,2=60.325");
  private static final Map<String, String> THREADS =
      Inches.table(
          "1/16=27,1/8=27,1/4=18,3/8=18,1/2=14,3/4=14,1=11.5,1 1/4=11.5,1 1/2=11.5,2=11.5");

  @Override
  public Optional<ThreadSize> read(String text) {
    Matcher after = AFTER.matcher(text);
    if (after.matches()) {
      return size(after.group(1), after.group(2));
    }
    Matcher before = BEFORE.matcher(text);
    return before.matches() ? size(before.group(2), before.group(3)) : Optional.empty();
  }

  private static Optional<ThreadSize> size(String written, String count) {
    String name = written.replace('-', ' ');
    String threads = THREADS.get(name);
    return threads == null || count != null && !count.equals(threads)
        ? Optional.empty()
        : Optional.of(Inches.size(new BigDecimal(DIAMETERS.get(name)), threads));
  }
}
