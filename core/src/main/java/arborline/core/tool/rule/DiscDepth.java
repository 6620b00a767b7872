package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.Locale;
import java.util.Optional;

/** CDX ≤ (DC - DN) / 2: a disc cuts no deeper than it stands out of its neck. */
public final class DiscDepth implements Rule {

  @Override
  public Optional<Finding> check(Tool tool) {
    if (!tool.has("CDX") || !tool.has("DC") || !tool.has("DN")) {
      return Optional.empty();
    }
    double possible = (tool.approx("DC", 0) - tool.approx("DN", 0)) / 2;
    return tool.approx("CDX", 0) <= possible
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "disc-depth",
                String.format(
                    Locale.ROOT,
                    "cutting depth CDX %s is more than disc and neck leave (%.3f mm)",
                    tool.values().get("CDX"),
                    possible),
                "CDX",
                "DC",
                "DN"));
  }
}
