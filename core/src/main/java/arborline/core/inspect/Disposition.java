package arborline.core.inspect;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import java.util.List;

/** Where a line ends up; every line read has exactly one. */
public enum Disposition {
  /** May enter. */
  PASS,
  /** May enter once somebody has looked. */
  QUERY,
  /** Cannot enter. */
  HOLD,
  /** Nothing to take: blank, or the shop has just this tool already. */
  SKIPPED;

  /** The disposition that findings call for. */
  public static Disposition of(List<Finding> findings) {
    boolean query = false;
    for (Finding finding : findings) {
      if (finding.severity() == Severity.HOLD) {
        return HOLD;
      }
      query |= finding.severity() == Severity.QUERY;
    }
    return query ? QUERY : PASS;
  }
}
