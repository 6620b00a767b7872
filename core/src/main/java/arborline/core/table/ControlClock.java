package arborline.core.table;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What time a control says it is, in a document of it. Nothing is ever ordered by it: only that it
 * goes wrong is worth saying.
 */
final class ControlClock {

  private static final int LONGEST = 40;

  private ControlClock() {}

  /**
   * The time that stands behind a label.
   *
   * @param label regular expression up to the time, which ends before the first character that no
   *     time has
   * @return empty where there is none, or it is no time with a zone
   */
  static Optional<Instant> behind(byte[] document, String label) {
    Matcher found =
        Pattern.compile(label + "([0-9TZ:.+-]{10,%d})".formatted(LONGEST), Pattern.MULTILINE)
            .matcher(new String(document, StandardCharsets.UTF_8));
    try {
      return found.find()
          ? Optional.of(OffsetDateTime.parse(found.group(1)).toInstant())
          : Optional.empty();
    } catch (DateTimeParseException odd) {
      return Optional.empty();
    }
  }
}
