package arborline.server.tool;

import arborline.core.edit.BulkEdit;
import arborline.core.edit.EditedTool;
import arborline.server.live.Live;
import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One change to many tools: what it would do, and doing it. */
@Service
class BulkEdits {

  private static final int CHUNK = 500;
  private static final int MOST_SHOWN = 300;

  private final Tools tools;
  private final ToolStore store;
  private final Trail trail;
  private final Live live;
  private final StopRequests stops;
  private final ToolGuard guard;

  BulkEdits(
      Tools tools, ToolStore store, Trail trail, Live live, StopRequests stops, ToolGuard guard) {
    this.guard = guard;
    this.tools = tools;
    this.store = store;
    this.trail = trail;
    this.live = live;
    this.stops = stops;
  }

  /**
   * A tool of which something is to be said.
   *
   * @param before what stands in the changed column; empty for nothing
   * @param after what would stand there
   * @param why it cannot be changed; empty where it can
   */
  record Edited(long toolId, String code, String before, String after, String why) {}

  /**
   * What becomes, or became, of the tools.
   *
   * @param same are as they are to be already
   * @param edited the first of those that change
   * @param left the first of those that cannot
   * @param undo line of the trail that takes it back; 0 where nothing was done
   */
  record BulkAnswer(
      int changed, int same, int refused, List<Edited> edited, List<Edited> left, long undo) {}

  /** Counts while tools are worked through. */
  private static final class Tally {
    private int changed;
    private int same;
    private int refused;
    private final List<Edited> edited = new ArrayList<>();
    private final List<Edited> left = new ArrayList<>();

    void note(CurrentTool tool, EditedTool made) {
      Edited row = new Edited(tool.id(), tool.code(), made.before(), made.after(), made.why());
      if (!made.why().isEmpty()) {
        refused++;
        add(left, row);
      } else if (made.tool().isEmpty()) {
        same++;
      } else {
        changed++;
        add(edited, row);
      }
    }

    private static void add(List<Edited> rows, Edited row) {
      if (rows.size() < MOST_SHOWN) {
        rows.add(row);
      }
    }

    BulkAnswer answer(long undo) {
      return new BulkAnswer(changed, same, refused, edited, left, undo);
    }
  }

  /** Under which name somebody hears how far it is, and stops it. */
  static String name(String work) {
    return "bulk " + work;
  }

  /** What a change would do. */
  @Transactional(readOnly = true)
  BulkAnswer preview(List<Long> ids, BulkEdit edit) {
    guard.needChange(ids);
    Tally tally = new Tally();
    for (List<Long> some : chunks(ids)) {
      Map<Long, CurrentTool> current = tools.current(some);
      for (long id : some) {
        CurrentTool tool = current.get(id);
        if (tool == null) {
          throw Refusal.notFound("there is no tool " + id);
        }
        tally.note(tool, EditedTool.of(tool.tool(), edit));
      }
    }
    return tally.answer(0);
  }

  /**
   * Does it; tools that cannot be changed stay as they are. All or nothing where it is stopped.
   * What was asked to stop before is the caller's to clear.
   *
   * @param expected how many tools somebody was told would change; below 0 where nobody was
   */
  @Transactional
  BulkAnswer apply(List<Long> ids, BulkEdit edit, int expected, String work) {
    Tally tally = new Tally();
    List<VersionUndo.Step> done = new ArrayList<>();
    int seen = 0;
    for (List<Long> some : chunks(ids.stream().sorted().toList())) {
      List<ToolStore.Step> steps = new ArrayList<>();
      for (CurrentTool tool : store.lockAll(some)) {
        EditedTool made = EditedTool.of(tool.tool(), edit);
        tally.note(tool, made);
        made.tool().ifPresent(after -> steps.add(new ToolStore.Step(tool, after)));
      }
      done.addAll(changed(steps, edit));
      seen += some.size();
      live.sayNow("bulk", work, "%d of %d".formatted(seen, ids.size()));
      if (stops.asked(name(work))) {
        stops.clear(name(work));
        throw Refusal.conflict("the change was stopped; no tool was changed");
      }
    }
    if (expected >= 0 && expected != tally.changed) {
      throw Refusal.conflict(
          "%s would change now, not %d; nothing was changed, look again"
              .formatted(TrailRecord.count(tally.changed, "tool"), expected));
    }
    return tally.answer(done.isEmpty() ? 0 : record(done, edit));
  }

  private Collection<VersionUndo.Step> changed(List<ToolStore.Step> steps, BulkEdit edit) {
    if (steps.isEmpty()) {
      return List.of();
    }
    List<VersionUndo.Step> done = new ArrayList<>();
    List<CurrentTool> now = store.changeAll(steps, "changed with others: " + edit.column());
    for (int i = 0; i < steps.size(); i++) {
      done.add(
          new VersionUndo.Step(
              now.get(i).id(), steps.get(i).before().versionNo(), now.get(i).versionNo()));
    }
    return done;
  }

  private long record(List<VersionUndo.Step> done, BulkEdit edit) {
    String text =
        "changed %s of %s"
            .formatted(edit.symbol().orElse("the names"), TrailRecord.count(done.size(), "tool"));
    return trail.record(
        TrailRecord.of("tool", done.getFirst().toolId(), text)
            .undoneBy(BulkUndo.KIND, new BulkUndo.Deed(done)));
  }

  private static List<List<Long>> chunks(List<Long> ids) {
    List<List<Long>> chunks = new ArrayList<>();
    for (int from = 0; from < ids.size(); from += CHUNK) {
      chunks.add(ids.subList(from, Math.min(ids.size(), from + CHUNK)));
    }
    return chunks;
  }
}
