package arborline.core.post;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What operations begin with, one value each. */
public enum DefaultKey {
  CUT_DIRECTION("cut.direction", "", "climb", "conventional"),
  APPROACH_KIND("approach.kind", "", "arc", "line", "ramp", "plunge"),
  APPROACH_DISTANCE("approach.distance", "mm"),
  APPROACH_ANGLE("approach.angle", "deg"),
  FEED_APPROACH("feed.approach", "share"),
  FEED_PLUNGE("feed.plunge", "share"),
  FEED_ROUGH("feed.rough", "share"),
  FEED_FINISH("feed.finish", "share"),
  CLEARANCE_HEIGHT("clearance.height", "mm"),
  RETRACT_HEIGHT("retract.height", "mm"),
  COOLANT("coolant", "text"),
  HOOD("hood", "mm"),
  BLOWER("blower", "", "on", "off");

  private static final BigDecimal MOST_SHARE = new BigDecimal(3);
  private static final BigDecimal MOST_SIZE = new BigDecimal(10_000);
  private static final BigDecimal MOST_ANGLE = new BigDecimal(180);
  private static final int LONGEST = 40;
  private static final int FINEST = 4;

  private final String key;
  private final String unit;
  private final List<String> words;

  DefaultKey(String key, String unit, String... words) {
    this.key = key;
    this.unit = unit;
    this.words = List.of(words);
  }

  /** As files write it: {@code approach.distance}. */
  public String key() {
    return key;
  }

  /** mm, deg, share (of what the tool's cutting data say), text, or empty for a fixed choice. */
  public String unit() {
    return unit;
  }

  /** What can be chosen; empty for a number or a text. */
  public List<String> words() {
    return words;
  }

  /** The key of that name. */
  public static Optional<DefaultKey> named(String key) {
    return Arrays.stream(values()).filter(one -> one.key.equals(key)).findFirst();
  }

  /** Why a value cannot be; empty where it can. */
  public Optional<String> fault(String value) {
    if (!words.isEmpty()) {
      return words.contains(value)
          ? Optional.empty()
          : Optional.of("%s: choose %s".formatted(key, String.join(", ", words)));
    }
    if (unit.equals("text")) {
      return value.isBlank() || value.length() > LONGEST
          ? Optional.of("%s: 1 to %d characters".formatted(key, LONGEST))
          : Optional.empty();
    }
    return number(value);
  }

  private Optional<String> number(String value) {
    BigDecimal most =
        switch (unit) {
          case "share" -> MOST_SHARE;
          case "deg" -> MOST_ANGLE;
          default -> MOST_SIZE;
        };
    boolean plain = value.matches("\\d{1,6}(\\.\\d{1,%d})?".formatted(FINEST));
    boolean fine =
        plain
            && new BigDecimal(value).compareTo(most) <= 0
            && (!unit.equals("share") || new BigDecimal(value).signum() > 0);
    return fine
        ? Optional.empty()
        : Optional.of(
            "%s: a number %s %s, such as 0.5"
                .formatted(
                    key, unit.equals("share") ? "above 0 up to" : "from 0 to", most.toPlainString())
                .toLowerCase(Locale.ROOT));
  }
}
