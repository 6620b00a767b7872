package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import com.google.auto.service.AutoService;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Whitworth threads, {@code BSW 1/4}, {@code W 3/8-16}. Source: BS 84. */
@AutoService(ThreadSystem.class)
public final class WhitworthThread implements ThreadSystem {

  private static final Pattern SIZE =
      Pattern.compile("(?:BSW|WW|W) ?" + Inches.SIZE + "(?: ?- ?(\\d{1,2}))?");
  private static final Map<String, String> THREADS =
      Inches.table(
          "1/8=40,3/16=24,1/4=20,5/16=18,3/8=16,7/16=14,1/2=12,5/8=11,3/4=10,7/8=9,1=8,1 1/8=7,"
              + "1 1/4=7,1 1/2=6");

  @Override
  public Optional<ThreadSize> read(String text) {
    Matcher parts = SIZE.matcher(text);
    if (!parts.matches()) {
      return Optional.empty();
    }
    String threads = THREADS.get(parts.group(1).replace('-', ' '));
    return threads == null || parts.group(2) != null && !parts.group(2).equals(threads)
        ? Optional.empty()
        : Inches.millimetres(parts.group(1)).map(diameter -> Inches.size(diameter, threads));
  }
}
