package arborline.core.machine;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a machine switches for each tool beside the spindle.
 *
 * @param hoodFrom lowest height of the suction hood, mm; null where it has none
 * @param hoodTo its highest height, mm
 * @param blower true where air can be blown on the tool
 * @param coolant kinds it has, in words
 */
public record Outputs(
    @Nullable BigDecimal hoodFrom,
    @Nullable BigDecimal hoodTo,
    boolean blower,
    List<String> coolant) {

  /** None of them. */
  public static final Outputs NONE = new Outputs(null, null, false, List.of());

  public Outputs {
    coolant = coolant == null ? List.of() : List.copyOf(coolant);
  }
}
