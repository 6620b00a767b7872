package arborline.server.explain;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Tools that have to be in the places of a machine. A place is written {@code storage/number}, its
 * numbers from 1 up in the plus direction.
 *
 * @param present what stands where now
 * @param wanted tools that have to be in
 * @param keep tools that stand and are not moved
 */
record LoadInput(
    @Nullable LoadMachineInput machine,
    @Nullable Map<String, LoadToolInput> tools,
    @Nullable Map<String, String> present,
    @Nullable List<String> wanted,
    @Nullable List<String> keep) {

  record LoadMachineInput(@Nullable String name, @Nullable List<LoadStorageInput> storages) {}

  /**
   * A storage; sizes in mm, kg and N·m.
   *
   * @param form chain, carousel, rack or turret
   * @param fixed places that hold one tool only
   */
  record LoadStorageInput(
      @Nullable String id,
      @Nullable String form,
      @Nullable Integer places,
      @Nullable Boolean closed,
      @Nullable BigDecimal pitch,
      @Nullable Boolean random,
      @Nullable Map<String, String> fixed,
      @Nullable LoadLimitsInput limits,
      @Nullable BigDecimal clearance,
      @Nullable String seat) {}

  record LoadLimitsInput(
      @Nullable BigDecimal diameterFull,
      @Nullable BigDecimal diameterEmpty,
      @Nullable BigDecimal length,
      @Nullable BigDecimal mass,
      @Nullable BigDecimal massSum,
      @Nullable BigDecimal moment) {}

  record LoadToolInput(
      @Nullable BigDecimal diameter,
      @Nullable BigDecimal length,
      @Nullable BigDecimal mass,
      @Nullable BigDecimal moment,
      @Nullable Integer overlapPlus,
      @Nullable Integer overlapMinus,
      @Nullable Boolean oriented,
      @Nullable String seat,
      @Nullable String material,
      @Nullable String dedicated) {}
}
