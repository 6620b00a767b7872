package arborline.core.tool.rule;

import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.ThreadSize;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * DC of a tap is the diameter of the thread TDZ, or TD where the size is not known; a tap may be
 * larger by its own tolerance.
 */
public final class TapIsThread implements Rule {

  private static final BigDecimal TOLERANCE = new BigDecimal("0.15");

  @Override
  public Optional<Finding> check(Tool tool) {
    BigDecimal diameter = tool.size("DC");
    BigDecimal thread =
        tool.word("TDZ")
            .flatMap(ThreadSize::parse)
            .map(ThreadSize::diameter)
            .orElse(tool.size("TD"));
    return diameter == null
            || thread == null
            || diameter.subtract(thread).abs().compareTo(TOLERANCE) <= 0
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "tap-diameter",
                "cutting diameter DC %s is not the thread diameter %s mm"
                    .formatted(tool.values().get("DC"), thread.toPlainString()),
                "DC",
                "TD"));
  }
}
