package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.Optional;

/** LCF ≥ LU + PL: a drill cannot clear chips from deeper than its flutes. */
public final class FlutesCoverPoint implements Rule {

  private static final double TOLERANCE = 0.05;

  @Override
  public Optional<Finding> check(Tool tool) {
    if (!tool.has("LCF") || !tool.has("LU") || !tool.has("DC")) {
      return Optional.empty();
    }
    double needed = tool.approx("LU", 0) + tool.approx("PL", PointLength.of(tool));
    return tool.approx("LCF", 0) + TOLERANCE >= needed
        ? Optional.empty()
        : Optional.of(
            Finding.query(
                "flutes-short",
                "flute length LCF %s does not cover usable length LU %s and the point"
                    .formatted(tool.values().get("LCF"), tool.values().get("LU")),
                "LCF",
                "LU"));
  }
}
