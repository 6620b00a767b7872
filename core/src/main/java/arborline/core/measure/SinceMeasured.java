package arborline.core.measure;

/** What happened to a tool since it was measured last. */
public enum SinceMeasured {
  NOTHING,
  /** Its edges were ground again: it is shorter and thinner. */
  REGROUND,
  /** It is held by other components: its length is another one. */
  STACK_CHANGED
}
