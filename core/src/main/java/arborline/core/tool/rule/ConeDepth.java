package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.Locale;
import java.util.Optional;

/** APMX ≤ (DCX - DCN) / 2 / tan(SIG/2): the cone ends where the largest diameter is reached. */
public final class ConeDepth implements Rule {

  private static final double TOLERANCE = 0.05;

  @Override
  public Optional<Finding> check(Tool tool) {
    double wide = tool.approx("DCX", tool.approx("DC", 0));
    double angle = tool.approx("SIG", 0);
    if (!tool.has("APMX") || wide <= 0 || angle <= 0 || angle > 180) {
      return Optional.empty();
    }
    double depth = (wide - tool.approx("DCN", 0)) / 2 / Math.tan(Math.toRadians(angle / 2));
    return tool.approx("APMX", 0) <= depth + TOLERANCE
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "cone-depth",
                String.format(
                    Locale.ROOT,
                    "depth of cut APMX %s is more than the cone is long (%.3f mm)",
                    tool.values().get("APMX"),
                    depth),
                "APMX",
                "SIG"));
  }
}
