package arborline.core.tool.rule;

import arborline.core.finding.Severity;
import java.util.Set;

/** The hand of a tool is R, L or N. */
public final class HandKnown extends Relation {

  private static final Set<String> HANDS = Set.of("R", "L", "N", "r", "l", "n");

  public HandKnown() {
    super(
        "hand-unknown",
        Severity.HOLD,
        tool -> tool.word("HAND").filter(HANDS::contains).isPresent(),
        tool ->
            sentence(
                "hand %s is none of R (right), L (left) and N (neutral)",
                tool.values().get("HAND")),
        "HAND");
  }
}
