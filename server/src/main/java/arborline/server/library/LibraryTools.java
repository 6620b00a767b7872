package arborline.server.library;

import arborline.core.library.Codes;
import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolDone;
import arborline.server.tool.ToolDraft;
import arborline.server.tool.ToolJudge;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.List;
import java.util.Set;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Single tools of a library: created there, copied into it, taken out of it. */
@Service
public class LibraryTools {

  private final EntryStore store;
  private final EntryRepository entries;
  private final SectionStore sections;
  private final ToolStore tools;
  private final Tools known;
  private final Trail trail;
  private final ApplicationEventPublisher events;
  private final IncludeStore includes;

  LibraryTools(
      EntryStore store,
      EntryRepository entries,
      SectionStore sections,
      ToolStore tools,
      Tools known,
      Trail trail,
      ApplicationEventPublisher events,
      IncludeStore includes) {
    this.includes = includes;
    this.store = store;
    this.entries = entries;
    this.sections = sections;
    this.tools = tools;
    this.known = known;
    this.trail = trail;
    this.events = events;
  }

  /** Creates a tool in a library; refused where rules or its code stand against it. */
  @Transactional
  public ToolDone create(long libraryId, ToolDraft draft) {
    return create(libraryId, draft, false);
  }

  /**
   * The same.
   *
   * @param incomplete true for a draft that may lack what a tool of its class must have
   */
  @Transactional
  public ToolDone create(long libraryId, ToolDraft draft, boolean incomplete) {
    Library library = store.library(libraryId);
    CurrentTool tool = tools.add(ToolJudge.sound(draft, incomplete), "created here");
    return placed(library, tool, "created %s in %s".formatted(tool.code(), library.name));
  }

  /** Creates a tool like another one under the next free code. */
  @Transactional
  public ToolDone copy(long libraryId, long toolId) {
    Library library = store.library(libraryId);
    CurrentTool original = tools.get(toolId);
    String code = Codes.nextFree(original.code(), known::carries);
    Tool copy = original.tool().named(code, original.tool().name());
    CurrentTool tool =
        tools.add(
            copy, "copied from %s version %d".formatted(original.code(), original.versionNo()));
    events.publishEvent(new ToolCopied(original.id(), tool.id()));
    return placed(
        library, tool, "copied %s to %s in %s".formatted(original.code(), code, library.name));
  }

  private ToolDone placed(Library library, CurrentTool tool, String text) {
    Entry entry = store.place(library.id, tool);
    long undo =
        trail.record(
            TrailRecord.of("tool", tool.id(), text)
                .in(Set.of(library.id))
                .undoneBy(EntryUndo.ADDED, EntryUndo.Held.of(entry, List.of())));
    return new ToolDone(tool.id(), tool.versionNo(), undo);
  }

  /** Takes a tool out of a library; it stays in the shop. */
  @Transactional
  public ToolDone remove(long libraryId, long toolId) {
    Library library = store.locked(libraryId);
    Entry entry = store.entry(libraryId, toolId);
    includes
        .included(libraryId, List.of(toolId))
        .ifPresent(why -> {
          throw Refusal.conflict(why + "; end that in the settings to take it out");
        });
    long undo =
        trail.record(
            TrailRecord.of("tool", toolId, "took %s out of %s".formatted(entry.code, library.name))
                .in(Set.of(libraryId))
                .undoneBy(EntryUndo.REMOVED, EntryUndo.Held.of(entry, sections.of(entry.id))));
    entries.delete(entry);
    return new ToolDone(toolId, 0, undo);
  }

  /** The tools of a library after one of them, by identity. */
  @Transactional(readOnly = true)
  public List<Long> after(long libraryId, long toolId, int most) {
    return entries.toolsAfter(libraryId, toolId, Limit.of(most));
  }

  /** Refuses where a library does not hold a tool. */
  @Transactional(readOnly = true)
  public void check(long libraryId, long toolId) {
    if (entries.findByLibraryIdAndToolId(libraryId, toolId).isEmpty()) {
      throw Refusal.notFound("library %d does not hold tool %d".formatted(libraryId, toolId));
    }
  }
}
