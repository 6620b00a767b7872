package arborline.server.library;

import arborline.core.library.SectionPath;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.Tool;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolMerges;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Has a library hold exactly some tools, each in a version, under a number, in its sections. */
@Component
public class LibraryRefill {

  private static final int CHUNK = 1000;

  private final EntryStore store;
  private final SectionStore sections;
  private final PutAwayEntries away;
  private final ToolStore held;
  private final Tools tools;
  private final ToolMerges merges;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final Ids ids;
  private final Trail trail;
  private final Live live;

  LibraryRefill(
      EntryStore store,
      SectionStore sections,
      PutAwayEntries away,
      ToolStore held,
      Tools tools,
      ToolMerges merges,
      JdbcClient jdbc,
      Bulk bulk,
      Ids ids,
      Trail trail,
      Live live) {
    this.store = store;
    this.sections = sections;
    this.away = away;
    this.held = held;
    this.tools = tools;
    this.merges = merges;
    this.jdbc = jdbc;
    this.bulk = bulk;
    this.ids = ids;
    this.trail = trail;
    this.live = live;
  }

  /**
   * A tool that the library is to hold; where its version is not the newest, it stays there.
   *
   * @param section paths of its sections as one text
   */
  public record Wanted(long toolId, long versionId, int number, String section) {}

  /**
   * Does it; what stood there before comes back where that is taken back.
   *
   * @param text for the trail
   * @return the line of the trail that takes it back
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public long fill(long libraryId, List<Wanted> wanted, String text) {
    Library library = store.locked(libraryId, LibraryRight.MAINTAIN);
    held.hold(wanted.stream().map(Wanted::toolId).toList());
    Map<Long, Long> included = included(libraryId);
    long number = away.begin();
    away.entries(
        number,
        jdbc.sql("select id from entry where library_id = ?")
            .param(libraryId)
            .query(Long.class)
            .list());
    List<Long> added = new ArrayList<>();
    for (int from = 0; from < wanted.size(); from += CHUNK) {
      added.addAll(enter(library, wanted.subList(from, Math.min(wanted.size(), from + CHUNK))));
    }
    store.entered(added);
    include(libraryId, included);
    live.say("library", libraryId, "");
    return trail.record(
        TrailRecord.of("library", libraryId, text)
            .undoneBy(CopyUndo.KIND, new CopyUndo.Copied(libraryId, added, List.of(), number)));
  }

  /** Puts tools into a locked library; their numbers are free. */
  List<Long> enter(Library library, List<Wanted> some) {
    Map<Long, CurrentTool> newest = tools.current(some.stream().map(Wanted::toolId).toList());
    Map<Long, Tool> versions = tools.versions(some.stream().map(Wanted::versionId).toList());
    Map<String, List<Long>> placed = new HashMap<>();
    List<Entry> entries = new ArrayList<>();
    List<Section.Member> members = new ArrayList<>();
    for (Wanted one : some) {
      Entry entry = entry(library, one, newest.get(one.toolId()), versions.get(one.versionId()));
      List<SectionPath> paths = SectionPath.parse(one.section());
      entry.section = SectionStore.text(paths);
      placed
          .computeIfAbsent(SectionPath.text(paths), all -> sections(library, paths))
          .forEach(section -> members.add(new Section.Member(entry.id, section)));
      entries.add(entry);
    }
    bulk.insert(Entry.TARGET, entries);
    sections.put(members);
    return entries.stream().map(entry -> entry.id).toList();
  }

  /** By which include tools stand there, by tool. */
  private Map<Long, Long> included(long libraryId) {
    Map<Long, Long> included = new HashMap<>();
    jdbc.sql(
            "select tool_id, include_id from entry where library_id = ? and include_id is not null")
        .param(libraryId)
        .query(row -> {
          included.put(row.getLong(1), row.getLong(2));
        });
    return included;
  }

  private void include(long libraryId, Map<Long, Long> included) {
    included.forEach((tool, include) ->
        jdbc.sql("update entry set include_id = ? where library_id = ? and tool_id = ?")
            .params(include, libraryId, tool)
            .update());
  }

  private List<Long> sections(Library library, List<SectionPath> paths) {
    return paths.stream().map(path -> sections.at(library.id, path).id).distinct().toList();
  }

  private Entry entry(Library library, Wanted one, CurrentTool newest, Tool version) {
    if (newest == null || version == null) {
      throw Refusal.conflict("tool %d is not in the shop any more".formatted(one.toolId()));
    }
    merges.refuseMerged(newest);
    Tool tool = version.named(newest.code(), version.name());
    EntryStore.refusal(library, tool.toolClass())
        .ifPresent(why -> {
          throw Refusal.conflict("%s cannot stand there: %s".formatted(tool.code(), why));
        });
    boolean stands = newest.versionId() == one.versionId();
    Entry entry =
        new Entry(
            ids.next("entry"),
            library.id,
            new CurrentTool(newest.id(), one.versionId(), newest.versionNo(), tool),
            library.processes().numbersWith(EntryStore.process(tool)),
            one.number());
    entry.pinned = !stands || !library.follows;
    return entry;
  }
}
