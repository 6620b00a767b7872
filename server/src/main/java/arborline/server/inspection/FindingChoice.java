package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import org.jspecify.annotations.Nullable;

/**
 * Which findings of the lines of a delivery are meant.
 *
 * @param finding its code, or a kind of findings
 * @param severity of the findings that are meant; null for any
 */
record FindingChoice(String finding, @Nullable Severity severity) {

  /** Whether it takes in a finding of a line. */
  boolean takesIn(Finding found) {
    return (severity == null || found.severity() == severity)
        && (found.code().equals(finding) || found.kind().equals(finding));
  }
}
