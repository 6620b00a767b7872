package arborline.server.library;

import arborline.core.library.LibraryProcess;
import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.library.SectionPath;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes many inspected tools into a library, in batches. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class AcceptedTools {

  private final EntryStore libraries;
  private final SectionStore sections;
  private final ToolStore store;
  private final Bulk bulk;
  private final Ids ids;
  private final Live live;

  AcceptedTools(
      EntryStore libraries, SectionStore sections, ToolStore store, Bulk bulk, Ids ids, Live live) {
    this.libraries = libraries;
    this.sections = sections;
    this.store = store;
    this.bulk = bulk;
    this.ids = ids;
    this.live = live;
  }

  /**
   * A tool that is to enter.
   *
   * @param position in the delivery, from 1
   * @param existingToolId the shop's tool of this code and content, where no library holds it now
   * @param section that it came with; one that somebody chose for all goes before it
   */
  public record Arriving(
      Tool tool,
      OptionalInt number,
      int position,
      java.util.OptionalLong existingToolId,
      String section) {}

  /** One intake into one library. */
  public final class Session {
    private final Library library;
    private final String section;
    private final String origin;
    private final NumberSeries numbers;
    private final Map<String, List<Long>> sectionIds = new HashMap<>();
    private int renumbered;
    private int refused;
    private String refusal = "";

    private Session(Library library, String section, String origin, Numbering numbering) {
      this.library = library;
      this.section = section;
      this.origin = origin;
      this.numbers = libraries.series(library, numbering);
    }

    /**
     * True where the library is for such a tool.
     *
     * @param counted where it is not, as one that it is not for
     */
    public boolean holds(Tool tool, boolean counted) {
      Optional<String> why = EntryStore.refusal(library, tool.toolClass());
      refused += why.isPresent() && counted ? 1 : 0;
      if (why.isPresent() && refusal.isEmpty()) {
        refusal = "%s: %s".formatted(tool.code(), why.get());
      }
      return why.isEmpty();
    }

    /** Takes a batch and returns the tool ids in the same order. */
    public List<Long> take(List<Arriving> batch) {
      List<CurrentTool> tools = tools(batch);
      List<Entry> entries = new ArrayList<>(batch.size());
      List<Section.Member> members = new ArrayList<>();
      for (int i = 0; i < batch.size(); i++) {
        Arriving arriving = batch.get(i);
        Entry entry = entry(arriving, tools.get(i));
        List<SectionPath> paths =
            SectionPath.parse(section.isEmpty() ? arriving.section() : section);
        entry.section = SectionStore.text(paths);
        sectionIds(paths).forEach(id -> members.add(new Section.Member(entry.id, id)));
        entries.add(entry);
      }
      bulk.insert(Entry.TARGET, entries);
      sections.put(members);
      libraries.entered(
          IntStream.range(0, batch.size())
              .filter(i -> batch.get(i).existingToolId().isPresent())
              .mapToObj(i -> entries.get(i).id)
              .toList());
      return tools.stream().map(CurrentTool::id).toList();
    }

    private Entry entry(Arriving arriving, CurrentTool tool) {
      OptionalInt kept = arriving.number();
      String classId = arriving.tool().toolClass();
      Process process = EntryStore.process(classId);
      int number =
          numbers
              .next(kept, classId, process, arriving.position())
              .orElseThrow(() -> EntryStore.noNumberLeft(library, classId));
      renumbered += kept.isPresent() && kept.getAsInt() != number ? 1 : 0;
      LibraryProcess among = library.processes().numbersWith(process);
      Entry entry = new Entry(ids.next("entry"), library.id, tool, among, number);
      entry.pinned = !library.follows;
      return entry;
    }

    private List<Long> sectionIds(List<SectionPath> paths) {
      return paths.isEmpty()
          ? List.of()
          : sectionIds.computeIfAbsent(
              SectionPath.text(paths),
              text ->
                  paths.stream().map(path -> sections.at(library.id, path).id).distinct().toList());
    }

    /** The shop's own of the tools, and new ones where the shop has none. */
    private List<CurrentTool> tools(List<Arriving> batch) {
      Iterator<CurrentTool> added =
          store
              .addAll(
                  batch.stream()
                      .filter(arriving -> arriving.existingToolId().isEmpty())
                      .map(Arriving::tool)
                      .toList(),
                  origin)
              .iterator();
      return batch.stream()
          .map(arriving ->
              arriving.existingToolId().isPresent()
                  ? store.get(arriving.existingToolId().getAsLong())
                  : added.next())
          .toList();
    }

    /** How many tools the library is not for. */
    public int refused() {
      return refused;
    }

    /** Why the first of them cannot stand there; empty for none. */
    public String refusal() {
      return refusal;
    }

    /** How many tools could not keep the number they came with. */
    public int renumbered() {
      return renumbered;
    }
  }

  /** Begins an intake; refused where the library does not exist or takes nothing. */
  public Session into(long libraryId, String section, String origin, Numbering numbering) {
    Library library = libraries.lockedForEntering(libraryId);
    live.say("library", libraryId, "");
    return new Session(library, section, origin, numbering);
  }
}
