package arborline.core.merge;

/**
 * One field of a tool, as far as merging asks: whether two hold the same, and whether they are
 * written alike. {@code equals} tells the writing.
 */
public non-sealed interface MergeField extends MergeContent {

  /** True where both mean the same, however they are written. */
  boolean sameSize(MergeField other);

  /**
   * True where this one stands against a differing one without anybody being asked: it was proven
   * at a machine, and the other was only read or calculated.
   */
  default boolean outweighs(MergeField other) {
    return false;
  }
}
