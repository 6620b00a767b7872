package arborline.core.stack;

import java.math.BigDecimal;
import java.util.List;

/**
 * A stack by the codes of its parts, as files carry it.
 *
 * @param seat connection code of the spindle or turret; blank where no machine is chosen
 * @param overhang how far the cutter stands out of the last part, mm; 0 for what is usual
 * @param parts codes, machine side first
 */
public record PlannedStack(String name, String seat, BigDecimal overhang, List<String> parts) {

  public PlannedStack {
    overhang = overhang.signum() == 0 ? BigDecimal.ZERO : overhang.stripTrailingZeros();
    parts = List.copyOf(parts);
  }
}
