package arborline.core.table;

/** Whose word counts for a field of a tool table. */
public enum Owner {
  /** The library: what the tool is. */
  LIBRARY,
  /** Measurement: how long and how wide this piece is. */
  MEASUREMENT,
  /** The control: what happens while cutting. */
  CONTROL
}
