package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Metric threads, {@code M10}, {@code M8X1.25}, {@code MF10X1}; the coarse pitch where none is
 * written. None is coarser than the coarse one: {@code M10X25} is a screw. Source: ISO 261.
 */
@AutoService(ThreadSystem.class)
public final class MetricThread implements ThreadSystem {

  private static final Pattern SIZE =
      Pattern.compile("M(F?) ?(\\d{1,3}(?:\\.\\d{1,3})?)(?: ?[X*-] ?(\\d{1,2}(?:\\.\\d{1,3})?))?");
  private static final Map<String, String> COARSE =
      Inches.table(
          "1=0.25,1.1=0.25,1.2=0.25,1.4=0.3,1.6=0.35,1.8=0.35,2=0.4,2.2=0.45,2.5=0.45,3=0.5,3.5=0.6,"
              + "4=0.7,4.5=0.75,5=0.8,6=1,7=1,8=1.25,9=1.25,10=1.5,11=1.5,12=1.75,14=2,16=2,18=2.5,"
              + "20=2.5,22=2.5,24=3,27=3,30=3.5,33=3.5,36=4,39=4,42=4.5,45=4.5,48=5,52=5,56=5.5,"
              + "60=5.5,64=6");

  @Override
  public Optional<ThreadSize> read(String text) {
    Matcher parts = SIZE.matcher(text);
    if (!parts.matches()) {
      return Optional.empty();
    }
    BigDecimal diameter = plain(parts.group(2));
    String coarse = COARSE.get(diameter.toPlainString());
    String unwritten = parts.group(1).isEmpty() ? coarse : null;
    BigDecimal coarsest = coarse == null ? diameter : plain(coarse);
    return Optional.ofNullable(parts.group(3) == null ? unwritten : parts.group(3))
        .map(MetricThread::plain)
        .filter(pitch -> pitch.signum() > 0 && pitch.compareTo(coarsest) <= 0)
        .filter(pitch -> pitch.compareTo(diameter) < 0)
        .map(plain -> new ThreadSize(diameter, plain));
  }

  private static BigDecimal plain(String text) {
    BigDecimal stripped = new BigDecimal(text).stripTrailingZeros();
    return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
  }
}
