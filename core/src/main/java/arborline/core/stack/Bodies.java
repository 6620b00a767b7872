package arborline.core.stack;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The cylinders and cones of a part as text: length x diameter, or length x diameter-diameter for a
 * cone, mm, machine side first: {@code 27 x 63; 53 x 27-21}.
 */
public final class Bodies {

  private static final String NUMBER = "(\\d{1,5}(?:\\.\\d{1,6})?)";
  private static final Pattern ROW =
      Pattern.compile(
          "\\s*" + NUMBER + "\\s*[xX*]\\s*" + NUMBER + "(?:\\s*-\\s*" + NUMBER + ")?\\s*");
  private static final int MOST = 100;

  private Bodies() {}

  public static String text(List<Frustum> bodies) {
    return bodies.stream().map(Bodies::text).collect(Collectors.joining("; "));
  }

  private static String text(Frustum body) {
    String cylinder = plain(body.length()) + " x " + plain(body.from());
    return body.from().compareTo(body.to()) == 0 ? cylinder : cylinder + "-" + plain(body.to());
  }

  private static String plain(BigDecimal number) {
    return number.stripTrailingZeros().toPlainString();
  }

  /** Reads what {@link #text} wrote; nothing where a row is no cylinder or cone. */
  public static Optional<List<Frustum>> read(String text) {
    List<Frustum> bodies = new ArrayList<>();
    for (String part : text.split(";", MOST + 1)) {
      Matcher row = ROW.matcher(part);
      if (!row.matches() || bodies.size() == MOST) {
        return Optional.empty();
      }
      bodies.add(
          Frustum.of(
              row.group(1), row.group(2), row.group(3) == null ? row.group(2) : row.group(3)));
    }
    return Optional.of(bodies);
  }
}
