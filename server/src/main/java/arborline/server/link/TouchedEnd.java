package arborline.server.link;

/**
 * How what is touched is counted, called and opened; the names are those of the tables' aliases.
 */
enum TouchedEnd {
  MACHINE(LinkKind.MACHINE, "m.id", "m.name", "concat('/machines/', m.id)"),
  MACHINE_PLACE(
      LinkKind.MACHINE,
      "m.id",
      "concat(m.name, ', place ', p.place)",
      "concat('/machines/', m.id)"),
  LIBRARY(LinkKind.LIBRARY, "l.id", "l.name", "concat('/libraries/', l.id)"),
  STACK(
      LinkKind.STACK,
      "s.id",
      "if(s.name = '', 'stack without a name', s.name)",
      "concat('/tools/', s.tool_id, '/stack')"),
  STACK_OF_TOOL(
      LinkKind.STACK,
      "s.id",
      "concat(if(s.name = '', 'stack', s.name), ' of ', t.code)",
      "concat('/tools/', t.id, '/stack')"),
  TOOL(LinkKind.TOOL, "t.id", "t.code", "concat('/tools/', t.id)"),
  TOOL_IN_MACHINE(LinkKind.TOOL, "t.id", "concat(t.code, ', ', m.name)", "concat('/tools/', t.id)"),
  TOOL_IN_PLACE(
      LinkKind.TOOL, "t.id", "concat(t.code, ', place ', p.place)", "concat('/tools/', t.id)"),
  POST(LinkKind.POST, "p.id", "p.name", "concat('/posts/', p.id)"),
  JOB(LinkKind.JOB, "j.id", "j.name", "concat('/jobs/', j.id)"),
  JOB_NUMBER(LinkKind.JOB, "j.id", "concat(j.name, ', T', c.tool_no)", "concat('/jobs/', j.id)"),
  OUTLET(LinkKind.OUTLET, "o.id", "o.name", "'/outlets'"),
  DEFAULTS(LinkKind.DEFAULTS, "d.name", "d.name", "concat('/posts/', :id)");

  private final LinkKind kind;
  private final String id;
  private final String name;
  private final String href;

  TouchedEnd(LinkKind kind, String id, String name, String href) {
    this.kind = kind;
    this.id = id;
    this.name = name;
    this.href = href;
  }

  LinkKind kind() {
    return kind;
  }

  /** What is counted, each once. */
  String counted() {
    return id;
  }

  /** Its id, name and href as columns of a query. */
  String columns() {
    return "cast(%s as char) as id, %s as name, %s as href".formatted(id, name, href);
  }
}
