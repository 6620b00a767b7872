package arborline.core.inspect.check;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Tool;
import com.google.auto.service.AutoService;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** More teeth than there is room for around a solid tool. */
@AutoService(InspectionCheck.class)
public final class TeethCount implements InspectionCheck {

  private static final Set<String> MILLS =
      Set.of(
          "end-mill-flat",
          "end-mill-ball",
          "end-mill-corner-radius",
          "end-mill-tapered",
          "chamfer-mill",
          "router-up-cut",
          "router-down-cut",
          "router-compression");
  private static final Set<String> DRILLS = Set.of("drill-twist", "drill-spot");

  /** Drills have two or three flutes, few have four. */
  private static final int MOST_OF_DRILLS = 4;

  private static final int MOST_OF_ANY = 8;

  /** Teeth of solid cutters stand further apart than this, mm. */
  private static final double CLOSEST = 2;

  @Override
  public Optional<Finding> find(Tool written, Tool completed) {
    BigDecimal teeth = written.size("NOF");
    double diameter = Math.max(completed.approx("DC", 0), completed.approx("DCX", 0));
    if (teeth == null || diameter <= 0) {
      return Optional.empty();
    }
    double room = Math.PI * diameter / teeth.doubleValue();
    boolean crowded =
        MILLS.contains(written.toolClass()) && teeth.intValue() > MOST_OF_ANY && room < CLOSEST;
    boolean many = DRILLS.contains(written.toolClass()) && teeth.intValue() > MOST_OF_DRILLS;
    return crowded || many ? Optional.of(finding(teeth, diameter)) : Optional.empty();
  }

  private static Finding finding(BigDecimal teeth, double diameter) {
    Finding finding =
        Finding.query(
            "teeth-crowded",
            "%s teeth have no room around a diameter of %s mm"
                .formatted(
                    teeth.stripTrailingZeros().toPlainString(),
                    BigDecimal.valueOf(diameter).stripTrailingZeros().toPlainString()),
            "NOF",
            "DC");
    boolean tens = teeth.remainder(BigDecimal.TEN).signum() == 0;
    String fewer = teeth.movePointLeft(1).stripTrailingZeros().toPlainString();
    return tens
        ? finding.withRepair(
            Repair.of("teeth-tenth", "take a tenth of the teeth", Map.of("NOF", fewer)))
        : finding;
  }
}
