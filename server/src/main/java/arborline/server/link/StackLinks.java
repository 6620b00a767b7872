package arborline.server.link;

import arborline.server.right.ToolGuard;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Stacks to the holders and other parts that they are built of; those with retired parts first. */
@Component
class StackLinks implements LinkSource {

  private static final int MOST = 2_000;

  private final JdbcClient jdbc;
  private final ToolGuard seeing;

  StackLinks(JdbcClient jdbc, ToolGuard seeing) {
    this.jdbc = jdbc;
    this.seeing = seeing;
  }

  private record Row(
      long stackId,
      String stack,
      long toolId,
      String tool,
      long partId,
      String part,
      boolean retired) {}

  @Override
  public List<Link> all() {
    List<Row> rows =
        jdbc.sql(
                """
                select s.id as stack_id, s.name as stack, t.id as tool_id, t.code as tool,
                  c.id as part_id, c.code as part, c.retired as retired
                from stack_part p join stack s on s.id = p.stack_id
                join tool t on t.id = s.tool_id join component c on c.id = p.component_id
                order by c.retired desc, s.id, p.place limit %d\
                """
                    .formatted(MOST))
            .query(Row.class)
            .list();
    Set<Long> unseen = seeing.unseen(rows.stream().map(Row::toolId).toList());
    return rows.stream()
        .filter(row -> !unseen.contains(row.toolId()))
        .map(StackLinks::link)
        .toList();
  }

  private static Link link(Row row) {
    return new Link(
        new LinkEnd(
            LinkKind.STACK,
            Long.toString(row.stackId()),
            row.stack().isEmpty() ? "stack of " + row.tool() : row.stack() + " of " + row.tool(),
            "/tools/%d/stack".formatted(row.toolId())),
        new LinkEnd(LinkKind.HOLDER, Long.toString(row.partId()), row.part(), "/holders"),
        "is built of",
        row.retired() ? "%s was retired".formatted(row.part()) : null);
  }
}
