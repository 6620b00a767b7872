package arborline.server.link;

/** What links lead from and to. */
public enum LinkKind {
  MACHINE,
  CONTROL,
  POST,
  DEFAULTS,
  LIBRARY,
  EDITION,
  OUTLET,
  STACK,
  HOLDER,
  TOOL,
  JOB
}
