package arborline.core.part21;

/**
 * Something in a file that is not as ISO 10303-21 has it; what stands around it is read all the
 * same.
 *
 * @param line on which it stands, from 1
 * @param kind {@code garbage}, {@code dangling-reference}...
 * @param message in words
 */
public record Part21Fault(long line, String kind, String message) {

  /** A line that is no statement. */
  static final String GARBAGE = "garbage";

  static final String MISSING_ENDSEC = "missing-endsec";
  static final String DUPLICATE_ID = "duplicate-id";
  static final String DANGLING_REFERENCE = "dangling-reference";
  static final String CONTRADICTING_VALUES = "contradicting-values";
  static final String MISSING_UNIT = "missing-unit";
}
