package arborline.core.post;

/** How offset numbers stand in NC programs. */
public enum OffsetForm {
  /** The offset number is the tool number. */
  SAME_AS_NUMBER,
  /** Length and radius have numbers of their own. */
  OWN_NUMBERS,
  /** Each edge of the tool in the spindle has a number. */
  EDGES,
  /** It is part of the tool word of a turning centre. */
  IN_TOOL_WORD
}
