package arborline.server.link;

import java.util.List;
import org.springframework.stereotype.Component;

/** What hangs on a machine. */
@Component
class MachineTouched implements TouchedSubject {

  private final Existing existing;

  MachineTouched(Existing existing) {
    this.existing = existing;
  }

  @Override
  public LinkKind kind() {
    return LinkKind.MACHINE;
  }

  @Override
  public Object need(String id) {
    return existing.need("machine where id = :id and retired_at is null", id, "machine");
  }

  @Override
  public List<Touching> touching() {
    return List.of(
        new Touching(
            TouchedEnd.POST,
            "{serves|serve} it",
            "from post p where p.machine_id = :id and p.deleted_at is null"),
        new Touching(
            TouchedEnd.TOOL_IN_PLACE,
            "{is|are} in its load",
            "from plan_place p join tool t on t.id = p.tool_id where p.machine_id = :id",
            "p.tool_id"),
        new Touching(
            TouchedEnd.JOB,
            "{runs|run} on it",
            """
            from job j
            where j.machine_id = :id and j.finished_at is null and j.deleted_at is null\
            """),
        new Touching(
            TouchedEnd.LIBRARY,
            "{is|are} picked from for it",
            """
            from machine_library ml join library l on l.id = ml.library_id
            where ml.machine_id = :id and l.put_away_at is null and l.id not in (:hidden)\
            """));
  }
}
