package arborline.core.storage;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a storage meets of a tool in its holder.
 *
 * @param diameter largest, mm
 * @param length from the gauge line to the tip, mm
 * @param mass kg
 * @param moment tilting moment at the gauge line, N·m
 * @param overlapPlus places that it is said to cover in the plus direction; null where nothing is
 *     said
 * @param overlapMinus the same in the minus direction
 * @param oriented true where it always comes to stand the same way round
 * @param seat connection code of a seat that takes it; null where nobody knows
 * @param corners its outermost points; empty where only length and diameter are known
 */
public record ToolBody(
    BigDecimal diameter,
    BigDecimal length,
    BigDecimal mass,
    BigDecimal moment,
    @Nullable Integer overlapPlus,
    @Nullable Integer overlapMinus,
    boolean oriented,
    @Nullable String seat,
    List<ToolCorner> corners) {

  public ToolBody {
    corners = List.copyOf(corners);
  }

  /** One of which only length and diameter are known. */
  public ToolBody(
      BigDecimal diameter,
      BigDecimal length,
      BigDecimal mass,
      BigDecimal moment,
      @Nullable Integer overlapPlus,
      @Nullable Integer overlapMinus,
      boolean oriented,
      @Nullable String seat) {
    this(diameter, length, mass, moment, overlapPlus, overlapMinus, oriented, seat, List.of());
  }

  /** True where it is said which places it covers, so that its diameter does not tell. */
  public boolean overlapStated() {
    return overlapPlus != null || overlapMinus != null;
  }

  /** Places that it covers in the plus direction, as it may come to stand. */
  int plus() {
    return oriented ? number(overlapPlus) : Math.max(number(overlapPlus), number(overlapMinus));
  }

  /** Places that it covers in the minus direction, as it may come to stand. */
  int minus() {
    return oriented ? number(overlapMinus) : Math.max(number(overlapPlus), number(overlapMinus));
  }

  private static int number(@Nullable Integer places) {
    return places == null ? 0 : places;
  }
}
