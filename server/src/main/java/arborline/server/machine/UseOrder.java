package arborline.server.machine;

import arborline.core.turning.Mounting.Work;
import arborline.core.use.SetPoint;
import arborline.core.use.ToolUse;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A use as somebody wants it; what is left out stays as it is. Sizes that are not limited are left
 * out by {@code unlimited}.
 *
 * @param unlimited names of limits that there are none of: {@code depth}, {@code speed}, {@code
 *     hood}
 */
record UseOrder(
    @Nullable Boolean driven,
    @Nullable String spindle,
    @Nullable BigDecimal angle,
    @Nullable Work work,
    @Nullable Boolean rakeUp,
    @Nullable SetPoint setPoint,
    @Nullable List<@Nullable Integer> offsets,
    @Nullable Boolean climb,
    @Nullable BigDecimal depth,
    @Nullable BigDecimal speed,
    @Nullable BigDecimal hood,
    @Nullable Boolean blower,
    @Nullable String coolant,
    @Nullable List<String> unlimited) {

  private static final BigDecimal LARGEST = new BigDecimal(1_000_000);
  private static final int FINEST = 6;
  private static final int LONGEST = 40;

  /** The use that it makes of another. */
  ToolUse on(ToolUse now) {
    List<String> none = unlimited == null ? List.of() : unlimited;
    return new ToolUse(
        or(driven, now.driven()),
        word("spindle", or(spindle, now.spindle())),
        sound("angle", or(angle, now.angle())),
        or(work, now.work()),
        or(rakeUp, now.rakeUp()),
        or(setPoint, now.setPoint()),
        numbers(now.offsets()),
        or(climb, now.climb()),
        none.contains("depth") ? null : sound("depth", depth == null ? now.depth() : depth),
        none.contains("speed") ? null : sound("speed", speed == null ? now.speed() : speed),
        none.contains("hood") ? null : sound("hood", hood == null ? now.hood() : hood),
        or(blower, now.blower()),
        word("coolant", or(coolant, now.coolant())));
  }

  private List<Integer> numbers(List<Integer> now) {
    if (offsets == null) {
      return now;
    }
    if (offsets.stream().anyMatch(Objects::isNull)) {
      throw Refusal.badRequest("offsets: a number is missing");
    }
    return offsets.stream().map(Objects::requireNonNull).toList();
  }

  private static <T> T or(@Nullable T wanted, T now) {
    return Optional.ofNullable(wanted).orElse(now);
  }

  private static String word(String member, String text) {
    if (text.length() > LONGEST) {
      throw Refusal.badRequest("%s: %d characters at most".formatted(member, LONGEST));
    }
    return text;
  }

  private static @Nullable BigDecimal sound(String member, @Nullable BigDecimal size) {
    if (size != null && (size.abs().compareTo(LARGEST) > 0 || size.scale() > FINEST)) {
      throw Refusal.badRequest(
          "%s: a number up to %s with %d decimals at most"
              .formatted(member, LARGEST.toPlainString(), FINEST));
    }
    return size;
  }
}
