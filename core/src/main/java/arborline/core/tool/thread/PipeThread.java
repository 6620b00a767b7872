package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Whitworth pipe threads: {@code G1/4} (ISO 228), {@code R}, {@code RC}, {@code RP} (ISO 7). The
 * size is that of the pipe; the diameter is the major one of the thread, mm.
 */
@AutoService(ThreadSystem.class)
public final class PipeThread implements ThreadSystem {

  private static final Pattern SIZE =
      Pattern.compile("(?:G|RC|RP|R|BSPP?|BSPT) ?" + Inches.SIZE + "(?: ?- ?(\\d{2}))?(?: ?[AB])?");
  private static final Map<String, String> DIAMETERS =
      Inches.table(
          "1/16=7.723,1/8=9.728,1/4=13.157,3/8=16.662,1/2=20.955,5/8=22.911,3/4=26.441,7/8=30.201,"
              + "1=33.249,1 1/4=41.910,1 1/2=47.803,2=59.614");
  private static final Map<String, String> THREADS =
      Inches.table(
          "1/16=28,1/8=28,1/4=19,3/8=19,1/2=14,5/8=14,3/4=14,7/8=14,1=11,1 1/4=11,1 1/2=11,2=11");

  @Override
  public Optional<ThreadSize> read(String text) {
    Matcher parts = SIZE.matcher(text);
    if (!parts.matches()) {
      return Optional.empty();
    }
    String name = parts.group(1).replace('-', ' ');
    String threads = THREADS.get(name);
    return threads == null || parts.group(2) != null && !parts.group(2).equals(threads)
        ? Optional.empty()
        : Optional.of(Inches.size(new BigDecimal(DIAMETERS.get(name)), threads));
  }
}
