package arborline.server.library;

import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.tool.Tool;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes many inspected tools into a library, in batches. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class AcceptedTools {

  private static final int LONGEST_SECTION = 100;

  private final EntryStore libraries;
  private final ToolStore store;
  private final Bulk bulk;
  private final Ids ids;
  private final Live live;

  AcceptedTools(EntryStore libraries, ToolStore store, Bulk bulk, Ids ids, Live live) {
    this.libraries = libraries;
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
    private final long libraryId;
    private final String section;
    private final String origin;
    private final NumberSeries numbers;
    private int renumbered;

    private Session(long libraryId, String section, String origin, Numbering numbering) {
      this.libraryId = libraryId;
      this.section = section;
      this.origin = origin;
      this.numbers = libraries.series(libraryId, numbering);
    }

    /** Takes a batch and returns the tool ids in the same order. */
    public List<Long> take(List<Arriving> batch) {
      List<CurrentTool> tools = tools(batch);
      List<Entry> entries = new ArrayList<>(batch.size());
      for (int i = 0; i < batch.size(); i++) {
        Arriving arriving = batch.get(i);
        OptionalInt kept = arriving.number();
        int number = numbers.next(kept, EntryStore.process(arriving.tool()), arriving.position());
        renumbered += kept.isPresent() && kept.getAsInt() != number ? 1 : 0;
        entries.add(
            new Entry(ids.next("entry"), libraryId, tools.get(i), number, section(arriving)));
      }
      bulk.insert(Entry.TARGET, entries);
      return tools.stream().map(CurrentTool::id).toList();
    }

    private String section(Arriving arriving) {
      String own = arriving.section();
      String chosen = section.isEmpty() ? own : section;
      return chosen.length() > LONGEST_SECTION ? chosen.substring(0, LONGEST_SECTION) : chosen;
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

    /** How many tools could not keep the number they came with. */
    public int renumbered() {
      return renumbered;
    }
  }

  /** Begins an intake; refused where the library does not exist. */
  public Session into(long libraryId, String section, String origin, Numbering numbering) {
    libraries.library(libraryId);
    live.say("library", libraryId, "");
    return new Session(libraryId, section, origin, numbering);
  }
}
