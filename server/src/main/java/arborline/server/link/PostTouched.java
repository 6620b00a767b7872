package arborline.server.link;

import java.util.List;
import org.springframework.stereotype.Component;

/** What hangs on a post. */
@Component
class PostTouched implements TouchedSubject {

  private final Existing existing;

  PostTouched(Existing existing) {
    this.existing = existing;
  }

  @Override
  public LinkKind kind() {
    return LinkKind.POST;
  }

  @Override
  public Object need(String id) {
    return existing.need(
        "post where id = :id and deleted_at is null", TouchedSubject.number(id), "post");
  }

  @Override
  public List<Touching> touching() {
    return List.of(
        new Touching(
            TouchedEnd.MACHINE,
            "{is|are} served by it",
            """
            from post p join machine m on m.id = p.machine_id
            where p.id = :id and m.retired_at is null\
            """),
        new Touching(
            TouchedEnd.JOB,
            "{runs|run} on a machine that works with it",
            """
            from machine_post mp join job j on j.machine_id = mp.machine_id
            where mp.post_id = :id and j.finished_at is null and j.deleted_at is null\
            """),
        new Touching(
            TouchedEnd.DEFAULTS,
            "{comes with it, or is|come with it, or are} replaced at a machine",
            """
            from (select concat('version ', version_no) as name from post_defaults where post_id = :id
              union select concat(machine_id, ': ', name) from own_default
                where post_id = :id and machine_id <> '') d\
            """));
  }
}
