package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.Locale;
import java.util.Optional;

/** DCX ≈ DC + 2·APMX/tan(KAPR), within 10 % of the step. */
public final class FaceMillDiameters implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    double angle = tool.approx("KAPR", 90);
    if (!tool.has("DCX") || !tool.has("DC") || !tool.has("APMX") || angle >= 90 || angle <= 0) {
      return Optional.empty();
    }
    double step = 2 * tool.approx("APMX", 0) / Math.tan(Math.toRadians(angle));
    double expected = tool.approx("DC", 0) + step;
    return Math.abs(tool.approx("DCX", 0) - expected) <= Math.max(0.5, 0.1 * step)
        ? Optional.empty()
        : Optional.of(
            Finding.query(
                "face-mill-diameters",
                String.format(
                    Locale.ROOT,
                    "largest diameter DCX %s, but DC, APMX and KAPR give %.2f mm",
                    tool.values().get("DCX"),
                    expected),
                "DCX",
                "KAPR"));
  }
}
