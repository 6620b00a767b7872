package arborline.server.cutting;

import arborline.core.cutting.CuttingOrigin;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Everything of a line of cutting data but its identity and its tool. */
record LineState(
    String material,
    String purpose,
    BigDecimal speed,
    BigDecimal feed,
    BigDecimal depth,
    BigDecimal width,
    String coolant,
    CuttingOrigin origin,
    String saidBy,
    Instant saidAt,
    @Nullable String machine,
    @Nullable BigDecimal beforeSpeed,
    @Nullable BigDecimal beforeFeed,
    @Nullable String grade,
    @Nullable String formulas) {

  static LineState of(CuttingLine line) {
    return new LineState(
        line.material,
        line.purpose,
        line.speed.stripTrailingZeros(),
        line.feed.stripTrailingZeros(),
        line.depth.stripTrailingZeros(),
        line.width.stripTrailingZeros(),
        line.coolant,
        line.origin,
        line.saidBy,
        line.saidAt,
        line.machine,
        stripped(line.beforeSpeed),
        stripped(line.beforeFeed),
        line.grade,
        line.formulas);
  }

  private static @Nullable BigDecimal stripped(@Nullable BigDecimal number) {
    return number == null ? null : number.stripTrailingZeros();
  }

  void to(CuttingLine line) {
    line.material = material;
    line.purpose = purpose;
    line.speed = speed;
    line.feed = feed;
    line.depth = depth;
    line.width = width;
    line.coolant = coolant;
    line.origin = origin;
    line.saidBy = saidBy;
    line.saidAt = saidAt;
    line.machine = machine;
    line.beforeSpeed = beforeSpeed;
    line.beforeFeed = beforeFeed;
    line.grade = grade == null ? "" : grade;
    line.formulas = formulas;
    line.versionNo++;
  }
}
