package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.tool.Rule;
import arborline.core.tool.ThreadSize;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;

/** TD and TP are those of the thread size TDZ. */
public final class ThreadPitch implements Rule {

  private static final BigDecimal TOLERANCE = new BigDecimal("0.001");

  @Override
  public Optional<Finding> check(Tool tool) {
    Optional<ThreadSize> size = tool.word("TDZ").flatMap(ThreadSize::parse);
    return size.isEmpty()
        ? Optional.empty()
        : differing(tool, "TD", size.get().diameter())
            .or(() -> differing(tool, "TP", size.get().pitch()));
  }

  private static Optional<Finding> differing(Tool tool, String symbol, BigDecimal expected) {
    BigDecimal stated = tool.size(symbol);
    if (stated == null || stated.subtract(expected).abs().compareTo(TOLERANCE) <= 0) {
      return Optional.empty();
    }
    Value value = tool.values().get(symbol);
    return Optional.of(
        Finding.hold(
                "thread-size",
                "thread %s has %s %s mm, but %s is given"
                    .formatted(
                        tool.word("TDZ").orElseThrow(), symbol, expected.toPlainString(), value),
                symbol,
                "TDZ")
            .withRepair(
                Repair.of(
                    "thread-size." + symbol,
                    "set %s from the thread size".formatted(symbol),
                    Map.of(symbol, expected.toPlainString() + " mm"))));
  }
}
