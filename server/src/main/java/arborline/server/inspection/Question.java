package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import org.jspecify.annotations.Nullable;

/**
 * What lines of a delivery are asked together.
 *
 * @param finding its code, or a kind of findings
 * @param severity of the findings that are meant; null for any
 */
record Question(String finding, @Nullable Severity severity) {

  /** Whether a finding of a line belongs to it. */
  boolean asks(Finding found) {
    return (severity == null || found.severity() == severity)
        && (found.code().equals(finding) || found.kind().equals(finding));
  }
}
