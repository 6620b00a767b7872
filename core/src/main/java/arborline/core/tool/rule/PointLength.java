package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;

/** PL = (DC - DCN) / 2 / tan(SIG/2), within 0.05 mm. Source: plane trigonometry of the cone. */
public final class PointLength implements Rule {

  private static final double TOLERANCE = 0.05;

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal stated = tool.size("PL");
    BigDecimal angle = tool.size("SIG");
    if (stated == null || angle == null || !tool.has("DC") || angle.signum() <= 0) {
      return Optional.empty();
    }
    double computed = of(tool);
    if (Math.abs(stated.doubleValue() - computed) <= TOLERANCE) {
      return Optional.empty();
    }
    String text = BigDecimal.valueOf(computed).setScale(3, RoundingMode.HALF_UP).toPlainString();
    return Optional.of(
        Finding.query(
                "point-length",
                "point length PL is %s, diameter and point angle give %s mm"
                    .formatted(tool.values().get("PL"), text),
                "PL",
                "SIG",
                "DC")
            .withRepair(
                Repair.of(
                    "point-length",
                    "set PL from diameter and point angle",
                    Map.of("PL", text + " mm"))));
  }

  /** The point length in mm that diameter, tip diameter and point angle give. */
  public static double of(Tool tool) {
    double wide = tool.approx("DC", tool.approx("DCX", 0));
    double half = Math.toRadians(tool.approx("SIG", 180) / 2);
    return (wide - tool.approx("DCN", 0)) / 2 / Math.tan(half);
  }
}
