package arborline.server.machine;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.Permission;
import arborline.server.edition.EditionHead;
import arborline.server.edition.EditionStore;
import arborline.server.library.LibraryCitations;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which library tools for a machine are picked from first; it may cite one of its editions. */
@Service
public class MachineLibraries implements LibraryCitations, Undo<MachineLibraries.Chosen> {

  private static final UndoKind<Chosen> KIND =
      new UndoKind<>("machine.library", 1, Chosen.class, Permission.EDIT);

  private final Machines machines;
  private final EditionStore editions;
  private final LibraryGuard guard;
  private final PostOfMachine posts;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;

  MachineLibraries(
      Machines machines,
      EditionStore editions,
      LibraryGuard guard,
      PostOfMachine posts,
      JdbcClient jdbc,
      Trail trail,
      Live live) {
    this.machines = machines;
    this.editions = editions;
    this.guard = guard;
    this.posts = posts;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
  }

  /**
   * The library of a machine.
   *
   * @param edition number of the one that is cited; null where none is
   * @param newest number of the newest one; null where there is none
   * @param post that brings it; null where it was chosen for the machine itself
   */
  record MachineLibrary(
      long libraryId,
      String name,
      @Nullable Integer edition,
      @Nullable Integer newest,
      @Nullable String post) {}

  private record Row(long libraryId, @Nullable Long editionId) {}

  /**
   * The one that was chosen, else that of its post; nothing where there is none, or whoever asks
   * does not see it.
   */
  @Transactional(readOnly = true)
  Optional<MachineLibrary> of(String machine) {
    return row(machine)
        .flatMap(row -> library(row, null))
        .or(() -> posts.of(machine).flatMap(this::brought));
  }

  private Optional<MachineLibrary> brought(PostOfMachine.Brought post) {
    return post.library() == null
        ? Optional.empty()
        : library(new Row(post.library(), post.edition()), post.name());
  }

  private Optional<MachineLibrary> library(Row row, @Nullable String post) {
    return guard
        .right(row.libraryId())
        .filter(right -> stands(row.libraryId()))
        .map(right ->
            new MachineLibrary(
                row.libraryId(),
                name(row.libraryId()),
                row.editionId() == null ? null : editions.get(row.editionId()).number(),
                editions.newest(row.libraryId()).map(EditionHead::number).orElse(null),
                post));
  }

  private boolean stands(long library) {
    return jdbc.sql("select count(*) from library where id = ? and put_away_at is null")
            .param(library)
            .query(Long.class)
            .single()
        > 0;
  }

  private Optional<Row> row(String machine) {
    return jdbc.sql("select library_id, edition_id from machine_library where machine_id = ?")
        .param(machine)
        .query(Row.class)
        .optional();
  }

  private String name(long library) {
    return jdbc.sql("select name from library where id = ?")
        .param(library)
        .query(String.class)
        .single();
  }

  /** What was chosen before and then; nulls for none. */
  public record Chosen(
      String machine,
      @Nullable Long library,
      @Nullable Long edition,
      @Nullable Long libraryAfter,
      @Nullable Long editionAfter) {}

  /**
   * Chooses the library of a machine, and which edition stands there.
   *
   * @param library null for none
   * @param edition null for none in particular
   * @return the line of the trail that takes it back
   */
  @Transactional
  public long choose(String machine, @Nullable Long library, @Nullable Long edition) {
    String name = machines.lock(machine).machine().name();
    if (library == null && edition != null) {
      throw Refusal.badRequest("say of which library the edition is");
    }
    if (library != null) {
      guard.need(library, LibraryRight.USE);
      if (edition != null && editions.get(edition).libraryId() != library) {
        throw Refusal.badRequest("edition %d is of another library".formatted(edition));
      }
    }
    Optional<Row> before = row(machine);
    write(machine, library, edition);
    String text =
        library == null
            ? "chose no library for %s".formatted(name)
            : "chose library %s%s for %s"
                .formatted(
                    name(library),
                    edition == null ? "" : ", edition " + editions.get(edition).number(),
                    name);
    return trail.record(
        TrailRecord.of("machine", machine, text)
            .undoneBy(
                KIND,
                new Chosen(
                    machine,
                    before.map(Row::libraryId).orElse(null),
                    before.map(Row::editionId).orElse(null),
                    library,
                    edition)));
  }

  private void write(String machine, @Nullable Long library, @Nullable Long edition) {
    jdbc.sql("delete from machine_library where machine_id = ?").param(machine).update();
    if (library != null) {
      jdbc.sql("insert into machine_library (machine_id, library_id, edition_id) values (?, ?, ?)")
          .params(machine, library, edition)
          .update();
    }
    live.say("machine", machine, "library");
  }

  @Override
  public UndoKind<Chosen> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Chosen chosen) {
    machines.lock(chosen.machine());
    Optional<Row> now = row(chosen.machine());
    boolean same =
        Objects.equals(now.map(Row::libraryId).orElse(null), chosen.libraryAfter())
            && Objects.equals(now.map(Row::editionId).orElse(null), chosen.editionAfter());
    if (!same) {
      throw Refusal.conflict("another library was chosen since; take that back first");
    }
    if (chosen.library() != null) {
      guard.need(chosen.library(), LibraryRight.USE);
    }
    write(chosen.machine(), chosen.library(), chosen.edition());
  }

  @Override
  public List<String> of(long libraryId) {
    return jdbc
        .sql(
            """
            select m.name from machine_library l join machine m on m.id = l.machine_id
            where l.library_id = ? order by m.name\
            """)
        .param(libraryId)
        .query(String.class)
        .list()
        .stream()
        .map("machine %s, whose library it is"::formatted)
        .toList();
  }
}
