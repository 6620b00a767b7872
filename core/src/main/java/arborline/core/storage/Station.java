package arborline.core.storage;

import java.math.BigDecimal;
import org.jspecify.annotations.Nullable;

/**
 * A turret station that differs from the plain static one.
 *
 * @param number of its place
 * @param driven true where it turns tools
 * @param rpm highest speed of the driven tool, 1/min; null for a static one
 * @param ratio turns of the tool per turn of the drive; null for 1
 * @param inverted true where the tool turns against the sense that is programmed
 * @param angleStep degrees in which a tool can be set across its station; null where it cannot
 */
public record Station(
    int number,
    boolean driven,
    @Nullable BigDecimal rpm,
    @Nullable BigDecimal ratio,
    boolean inverted,
    @Nullable BigDecimal angleStep) {

  static Station plain(int number) {
    return new Station(number, false, null, null, false, null);
  }
}
