package arborline.server.link;

import arborline.core.sharing.LibraryRight;
import arborline.server.right.LibraryGuard;
import java.util.List;
import org.springframework.stereotype.Component;

/** What hangs on a library. */
@Component
class LibraryTouched implements TouchedSubject {

  private final Existing existing;
  private final LibraryGuard guard;

  LibraryTouched(Existing existing, LibraryGuard guard) {
    this.existing = existing;
    this.guard = guard;
  }

  @Override
  public LinkKind kind() {
    return LinkKind.LIBRARY;
  }

  @Override
  public Object need(String id) {
    long library = TouchedSubject.number(id);
    guard.need(library, LibraryRight.USE);
    return existing.need("library where id = :id and put_away_at is null", library, "library");
  }

  @Override
  public List<Touching> touching() {
    return List.of(
        new Touching(
            TouchedEnd.MACHINE,
            "{picks its|pick their} tools from it",
            """
            from machine_library ml join machine m on m.id = ml.machine_id
            where ml.library_id = :id and m.retired_at is null\
            """),
        new Touching(
            TouchedEnd.TOOL_IN_MACHINE,
            "of it {is|are} in loads of machines",
            """
            from plan_place p join tool t on t.id = p.tool_id join machine m on m.id = p.machine_id
            where p.library_id = :id and m.retired_at is null\
            """),
        new Touching(
            TouchedEnd.POST,
            "{brings|bring} it",
            "from post p where p.library_id = :id and p.deleted_at is null"),
        new Touching(
            TouchedEnd.LIBRARY,
            "{is derived from it or includes|are derived from it or include} it",
            """
            from (select library_id from derived_library where base_id = :id
              union select library_id from library_include where from_id = :id) d
            join library l on l.id = d.library_id
            where l.put_away_at is null and l.id not in (:hidden)\
            """),
        new Touching(
            TouchedEnd.JOB,
            "{takes|take} tools from it",
            """
            from job_tool c join job j on j.id = c.job_id
            where c.library_id = :id and j.finished_at is null and j.deleted_at is null\
            """),
        new Touching(
            TouchedEnd.OUTLET, "{writes|write} it", "from outlet o where o.library_id = :id"));
  }
}
