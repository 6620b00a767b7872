package arborline.core.storage;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * What the places of a storage take. Exactly at a limit is allowed; null is no limit.
 *
 * @param diameterFull largest diameter beside taken places, mm
 * @param diameterEmpty largest diameter at all, beside empty places, mm
 * @param length longest from the gauge line, mm
 * @param mass heaviest tool with its holder, kg
 * @param massSum heaviest load of all places together, kg
 * @param moment largest tilting moment of one tool at the gauge line, N·m
 * @param balance largest difference of the loads of opposite halves, kg
 */
public record StorageLimits(
    @Nullable BigDecimal diameterFull,
    @Nullable BigDecimal diameterEmpty,
    @Nullable BigDecimal length,
    @Nullable BigDecimal mass,
    @Nullable BigDecimal massSum,
    @Nullable BigDecimal moment,
    @Nullable BigDecimal balance) {

  /** No limits at all. */
  public static final StorageLimits NONE =
      new StorageLimits(null, null, null, null, null, null, null);
}
