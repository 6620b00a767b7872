package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.ThreadSize;
import arborline.core.tool.Tool;
import java.util.Locale;
import java.util.Optional;

/**
 * A thread mill enters the core hole of the smallest thread it is for: DC is less than the minor
 * diameter D - 1.0825 P. Source: ISO 724 (basic minor diameter).
 */
public final class ThreadMillEnters implements Rule {

  private static final double MINOR = 1.0825;

  @Override
  public Optional<Finding> check(Tool tool) {
    double cutter = tool.approx("DC", 0);
    Optional<Double> minor =
        tool.word("TDZ")
            .flatMap(ThreadSize::parse)
            .map(thread -> thread.diameter().doubleValue() - MINOR * thread.pitch().doubleValue())
            .or(() -> smallest(tool));
    return minor
        .filter(hole -> cutter >= hole)
        .map(hole ->
            Finding.hold(
                "cutter-beyond-thread",
                String.format(
                    Locale.ROOT,
                    "cutting diameter DC %s does not enter the core hole of %.3f mm of its smallest thread",
                    tool.values().get("DC"),
                    hole),
                "DC",
                tool.has("TDZ") ? "TDZ" : "TDN"));
  }

  private static Optional<Double> smallest(Tool tool) {
    return tool.has("TDN") && tool.has("TP")
        ? Optional.of(tool.approx("TDN", 0) - MINOR * tool.approx("TP", 0))
        : Optional.empty();
  }
}
