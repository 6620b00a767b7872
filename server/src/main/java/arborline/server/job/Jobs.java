package arborline.server.job;

import arborline.core.job.JobFaults;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Jobs of the shop: where they run and which tools they call by which numbers. */
@Service
public class Jobs implements Undo<Jobs.Changed> {

  private static final UndoKind<Changed> KIND =
      new UndoKind<>("job.changed", 1, Changed.class, Permission.EDIT);

  private final JobStore store;
  private final JobNumbers numbers;
  private final Machines machines;
  private final Tools tools;
  private final LibraryGuard libraries;
  private final ToolGuard seeing;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;

  Jobs(
      JobStore store,
      JobNumbers numbers,
      Machines machines,
      Tools tools,
      LibraryGuard libraries,
      ToolGuard seeing,
      Trail trail,
      Live live,
      Json json,
      Clock clock) {
    this.store = store;
    this.numbers = numbers;
    this.machines = machines;
    this.tools = tools;
    this.libraries = libraries;
    this.seeing = seeing;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
  }

  /** A job before a change; null where there was none. */
  public record Changed(long job, @Nullable String before, int versionAfter) {}

  /** What was done. */
  record JobDone(long id, int version, long undo) {}

  @Transactional(readOnly = true)
  List<JobRow> all() {
    return store.all();
  }

  @Transactional(readOnly = true)
  JobRow get(long id) {
    return there(store.get(id).orElse(null), id);
  }

  private JobRow lock(long id) {
    return there(store.lock(id).orElse(null), id);
  }

  private static JobRow there(@Nullable JobRow job, long id) {
    if (job == null || job.deleted()) {
      throw Refusal.notFound("there is no job " + id);
    }
    return job;
  }

  /**
   * Makes a job.
   *
   * @param order without an id
   * @param known tools that it may call without asking who sees them: those that it is copied from
   */
  @Transactional
  JobDone create(JobRow order, Collection<JobTool> known) {
    machines.get(order.machine());
    JobRow wanted = numbers.numbered(order);
    refuse(wanted, known);
    return done(store.insert(wanted), "made job '%s'".formatted(wanted.name()), null);
  }

  /**
   * Makes a job whose tools have the numbers that they have at the machine, else in the library.
   *
   * @param library from which all of them are taken
   * @param called tools in order
   */
  @Transactional
  public void bring(String name, String part, String machine, long library, List<Long> called) {
    List<JobTool> unnumbered =
        called.stream().map(tool -> new JobTool(JobNumbers.NONE, tool, library)).toList();
    create(new JobRow(0, name, part, machine, false, 1, false, unnumbered), List.of());
  }

  private void refuse(JobRow wanted, Collection<JobTool> known) {
    List<String> faults =
        JobFaults.of(
            wanted.name(), wanted.part(), wanted.tools().stream().map(JobTool::number).toList());
    if (!faults.isEmpty()) {
      throw Refusal.badRequest(String.join("; ", faults));
    }
    if (store.named(wanted.name(), wanted.id())) {
      throw Refusal.conflict(
          "there is a job '%s' already; choose another name".formatted(wanted.name()));
    }
    Set<JobTool> stay = new HashSet<>();
    known.forEach(tool -> stay.add(tool.meant()));
    List<JobTool> arriving =
        wanted.tools().stream().filter(tool -> !stay.contains(tool.meant())).toList();
    seeing.needSight(arriving.stream().map(JobTool::tool).toList());
    arriving.stream()
        .map(JobTool::library)
        .filter(Objects::nonNull)
        .distinct()
        .forEach(library -> libraries.need(library, LibraryRight.USE));
    needIn(arriving);
  }

  /** Refuses tools that are not in the library from which they are to be taken. */
  private void needIn(List<JobTool> arriving) {
    Map<Long, Long> meant = new HashMap<>();
    arriving.forEach(tool -> meant.put(tool.tool(), tool.library() == null ? 0 : tool.library()));
    Map<Long, Held> held = tools.held(meant);
    for (JobTool tool : arriving) {
      Held one = held.get(tool.tool());
      if (one == null) {
        throw Refusal.notFound("there is no tool " + tool.tool());
      }
      boolean has =
          tool.library() == null
              || Stream.concat(one.from().stream(), one.others().stream())
                  .anyMatch(from -> from.libraryId() == tool.library());
      if (!has) {
        throw Refusal.conflict(
            "T%d: that library does not have %s".formatted(tool.number(), one.tool().code()));
      }
    }
  }

  private JobDone done(long id, String text, @Nullable JobRow before) {
    JobRow now = store.get(id).orElseThrow();
    live.say("job", Long.toString(id), "changed");
    live.say("machine", now.machine(), "jobs");
    if (before != null && !before.machine().equals(now.machine())) {
      live.say("machine", before.machine(), "jobs");
    }
    long undo =
        trail.record(
            TrailRecord.of("job", Long.toString(id), text)
                .undoneBy(
                    KIND,
                    new Changed(id, before == null ? null : json.text(before), now.version())));
    return new JobDone(id, now.version(), undo);
  }

  /** Changes a job from a version of it on. */
  @Transactional
  JobDone change(long id, int version, JobRow order) {
    JobRow before = lock(id);
    if (before.version() != version) {
      throw Refusal.conflict("somebody changed this job meanwhile; look at it as it is now");
    }
    JobRow wanted = numbers.numbered(order);
    refuse(wanted, before.tools());
    if (!wanted.machine().equals(before.machine())) {
      machines.get(wanted.machine());
    }
    store.update(wanted.finished(before.finished()), false, Instant.now(clock));
    return done(id, "changed job '%s'".formatted(wanted.name()), before);
  }

  /** Whether a job is finished: its tools may be changed again then. */
  @Transactional
  JobDone finish(long id, boolean finished) {
    JobRow before = lock(id);
    if (before.finished() == finished) {
      throw Refusal.conflict(finished ? "the job is finished already" : "the job is open already");
    }
    store.update(before.finished(finished), false, Instant.now(clock));
    return done(
        id,
        (finished ? "finished job '%s'" : "opened job '%s' again").formatted(before.name()),
        before);
  }

  @Transactional
  JobDone delete(long id) {
    JobRow before = lock(id);
    store.update(before, true, Instant.now(clock));
    return done(id, "deleted job '%s'".formatted(before.name()), before);
  }

  /** Has a job run on another machine. */
  @Transactional
  public void running(long id, String machine) {
    JobRow now = lock(id);
    change(id, now.version(), now.on(machine));
  }

  /** Has a job take its tools of one library from another one, which has to have all of them. */
  @Transactional
  public void taking(long id, long from, long library) {
    JobRow now = lock(id);
    libraries.need(library, LibraryRight.USE);
    List<JobTool> anew =
        now.tools().stream()
            .map(tool ->
                tool.library() != null && tool.library() == from ? tool.from(library) : tool)
            .toList();
    change(id, now.version(), now.calling(anew));
  }

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed changed) {
    JobRow now =
        store
            .lock(changed.job())
            .orElseThrow(() -> Refusal.notFound("there is no job " + changed.job()));
    if (now.version() != changed.versionAfter()) {
      throw Refusal.conflict("the job was changed since; take that back first");
    }
    if (changed.before() == null) {
      store.update(now, true, Instant.now(clock));
    } else {
      JobRow before = json.read(changed.before(), JobRow.class);
      if (store.named(before.name(), before.id())) {
        throw Refusal.conflict("another job is called '%s' now".formatted(before.name()));
      }
      store.update(before, false, Instant.now(clock));
    }
    live.say("job", Long.toString(changed.job()), "changed");
    live.say("machine", now.machine(), "jobs");
  }
}
