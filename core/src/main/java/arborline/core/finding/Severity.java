package arborline.core.finding;

/** How much a finding weighs. */
public enum Severity {
  /** Cannot enter a library. */
  HOLD,
  /** Enters once somebody has looked. */
  QUERY,
  /** Said and recorded. */
  NOTE
}
