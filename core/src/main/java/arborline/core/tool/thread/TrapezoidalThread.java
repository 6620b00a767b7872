package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Metric trapezoidal threads, {@code TR16X4}; of several starts {@code TR40X14P7}, whose pitch is
 * the last number. Source: ISO 2904.
 */
@AutoService(ThreadSystem.class)
public final class TrapezoidalThread implements ThreadSystem {

  private static final Pattern SIZE =
      Pattern.compile(
          "TR ?(\\d{1,3}) ?X ?(\\d{1,2}(?:\\.\\d)?)(?: ?\\(?P ?(\\d{1,2}(?:\\.\\d)?)\\)?)?");

  @Override
  public Optional<ThreadSize> read(String text) {
    Matcher parts = SIZE.matcher(text);
    return parts.matches()
        ? Optional.of(
                new ThreadSize(
                    new BigDecimal(parts.group(1)),
                    new BigDecimal(parts.group(3) == null ? parts.group(2) : parts.group(3))))
            .filter(
                size -> size.pitch().signum() > 0 && size.pitch().compareTo(size.diameter()) < 0)
        : Optional.empty();
  }
}
