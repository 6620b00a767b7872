package arborline.server.library;

import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.tool.Tool;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes many inspected tools into a library, in batches. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class AcceptedTools {

  private final ToolStore shelves;
  private final Bulk bulk;
  private final Ids ids;
  private final Live live;
  private final Clock clock;

  AcceptedTools(ToolStore shelves, Bulk bulk, Ids ids, Live live, Clock clock) {
    this.shelves = shelves;
    this.bulk = bulk;
    this.ids = ids;
    this.live = live;
    this.clock = clock;
  }

  /**
   * A tool that is to enter.
   *
   * @param position in the delivery, from 1
   * @param existingToolId the shop's tool of this code and content, where no library holds it now
   */
  public record Arriving(
      Tool tool, OptionalInt number, int position, java.util.OptionalLong existingToolId) {}

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
      this.numbers = shelves.series(libraryId, numbering);
    }

    /** Takes a batch and returns the tool ids in the same order. */
    public List<Long> take(List<Arriving> batch) {
      List<ShopTool> tools = new ArrayList<>(batch.size());
      List<ToolVersion> versions = new ArrayList<>(batch.size());
      List<Entry> entries = new ArrayList<>(batch.size());
      List<Long> taken = new ArrayList<>(batch.size());
      Instant now = Instant.now(clock);
      String who = Actor.name();
      for (Arriving each : batch) {
        Tool tool = each.tool();
        ShopTool owner;
        if (each.existingToolId().isPresent()) {
          owner = shelves.tool(each.existingToolId().getAsLong());
        } else {
          long toolId = ids.next("tool");
          ToolVersion version =
              new ToolVersion(ids.next("tool_version"), toolId, 1, tool, origin, now, who);
          versions.add(version);
          owner = new ShopTool(toolId, tool.code(), version);
          tools.add(owner);
        }
        int number = numbers.next(each.number(), ToolStore.process(tool), each.position());
        renumbered += each.number().isPresent() && each.number().getAsInt() != number ? 1 : 0;
        entries.add(new Entry(ids.next("entry"), libraryId, owner, number, section, tool));
        taken.add(owner.id);
      }
      bulk.insert(ToolVersion.TARGET, versions);
      bulk.insert(ShopTool.TARGET, tools);
      bulk.insert(Entry.TARGET, entries);
      return taken;
    }

    /** How many tools could not keep the number they came with. */
    public int renumbered() {
      return renumbered;
    }
  }

  /** Begins an intake; refused where the library does not exist. */
  public Session into(long libraryId, String section, String origin, Numbering numbering) {
    shelves.library(libraryId);
    live.say("library", libraryId, "");
    return new Session(libraryId, section, origin, numbering);
  }
}
