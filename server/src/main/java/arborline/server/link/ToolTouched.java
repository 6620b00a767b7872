package arborline.server.link;

import arborline.server.right.ToolGuard;
import java.util.List;
import org.springframework.stereotype.Component;

/** What hangs on a tool. */
@Component
class ToolTouched implements TouchedSubject {

  private final Existing existing;
  private final ToolGuard guard;

  ToolTouched(Existing existing, ToolGuard guard) {
    this.existing = existing;
    this.guard = guard;
  }

  @Override
  public LinkKind kind() {
    return LinkKind.TOOL;
  }

  @Override
  public Object need(String id) {
    long tool = TouchedSubject.number(id);
    guard.needSight(List.of(tool));
    return existing.need("tool where id = :id", tool, "tool");
  }

  @Override
  public List<Touching> touching() {
    return List.of(
        new Touching(
            TouchedEnd.LIBRARY,
            "{has|have} it",
            """
            from entry e join library l on l.id = e.library_id
            where e.tool_id = :id and l.put_away_at is null and l.id not in (:hidden)\
            """),
        new Touching(
            TouchedEnd.MACHINE_PLACE,
            "{has|have} it in the load",
            """
            from plan_place p join machine m on m.id = p.machine_id
            where p.tool_id = :id and m.retired_at is null\
            """),
        new Touching(TouchedEnd.STACK, "{holds|hold} it", "from stack s where s.tool_id = :id"),
        new Touching(
            TouchedEnd.POST,
            "{brings|bring} a library that has it",
            """
            from post p join entry e on e.library_id = p.library_id
            where e.tool_id = :id and p.deleted_at is null and p.library_id not in (:hidden)\
            """),
        new Touching(
            TouchedEnd.JOB_NUMBER,
            "{calls|call} it",
            """
            from job_tool c join job j on j.id = c.job_id
            where c.tool_id = :id and j.finished_at is null and j.deleted_at is null\
            """),
        new Touching(
            TouchedEnd.OUTLET,
            "{writes|write} a library that has it",
            """
            from outlet o join entry e on e.library_id = o.library_id
            where e.tool_id = :id and o.library_id not in (:hidden)\
            """));
  }
}
