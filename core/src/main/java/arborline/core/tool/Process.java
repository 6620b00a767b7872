package arborline.core.tool;

/** The kind of work a tool class belongs to. */
public enum Process {
  MILLING,
  HOLE_MAKING,
  THREADING,
  TURNING,
  ROUTING,
  PROBING,
  JET
}
