package arborline.server.link;

import arborline.server.link.Touching.Counting;
import java.util.List;
import org.springframework.stereotype.Component;

/** What hangs on a holder, or on another part of stacks. */
@Component
class HolderTouched implements TouchedSubject {

  private static final String PARTS = "from stack_part sp where sp.component_id = :id";

  private static final String STACKS =
      """
      from stack_part sp join stack s on s.id = sp.stack_id join tool t on t.id = sp.tool_id
      where sp.component_id = :id\
      """;

  private final Existing existing;

  HolderTouched(Existing existing) {
    this.existing = existing;
  }

  @Override
  public LinkKind kind() {
    return LinkKind.HOLDER;
  }

  @Override
  public Object need(String id) {
    return existing.need("component where id = :id", TouchedSubject.number(id), "holder");
  }

  @Override
  public List<Touching> touching() {
    return List.of(
        new Touching(
            TouchedEnd.STACK_OF_TOOL,
            "{is|are} built with it",
            STACKS,
            "sp.tool_id",
            new Counting("sp.stack_id", PARTS)),
        new Touching(
            TouchedEnd.TOOL,
            "{stands|stand} in it",
            "from stack_part sp join tool t on t.id = sp.tool_id where sp.component_id = :id",
            "sp.tool_id",
            new Counting("sp.tool_id", PARTS)),
        new Touching(
            TouchedEnd.MACHINE,
            "{has|have} such a tool in the load",
            """
            from plan_place p join machine m on m.id = p.machine_id
            where m.retired_at is null and exists (select 1 from stack_part sp
              where sp.component_id = :id and sp.tool_id = p.tool_id)\
            """,
            "p.tool_id"),
        new Touching(
            TouchedEnd.JOB,
            "{calls|call} such a tool",
            """
            from job j
            where j.finished_at is null and j.deleted_at is null and exists (select 1
              from job_tool c join stack_part sp on sp.tool_id = c.tool_id
              where c.job_id = j.id and sp.component_id = :id)\
            """),
        new Touching(
            TouchedEnd.LIBRARY,
            "{has|have} such a tool",
            """
            from (select distinct e.library_id from stack_part sp
              join entry e on e.tool_id = sp.tool_id where sp.component_id = :id) d
            join library l on l.id = d.library_id
            where l.put_away_at is null and l.id not in (:hidden)\
            """));
  }
}
