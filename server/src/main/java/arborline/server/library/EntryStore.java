package arborline.server.library;

import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.server.live.Live;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolChanged;
import jakarta.persistence.EntityManager;
import java.util.OptionalInt;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts tools into libraries and keeps them in step; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class EntryStore {

  private static final int MOST_LIBRARIES = 1000;

  private final EntityManager entities;
  private final LibraryRepository libraries;
  private final EntryRepository entries;
  private final Ids ids;
  private final Live live;

  EntryStore(
      EntityManager entities,
      LibraryRepository libraries,
      EntryRepository entries,
      Ids ids,
      Live live) {
    this.entities = entities;
    this.libraries = libraries;
    this.entries = entries;
    this.ids = ids;
    this.live = live;
  }

  Library library(long id) {
    return libraries.findById(id).orElseThrow(() -> Refusal.notFound("there is no library " + id));
  }

  Entry entry(long libraryId, long toolId) {
    return entries
        .findByLibraryIdAndToolId(libraryId, toolId)
        .orElseThrow(() ->
            Refusal.notFound("library %d does not hold tool %d".formatted(libraryId, toolId)));
  }

  /** Puts a tool into a library under the next free number. */
  Entry place(long libraryId, CurrentTool tool) {
    NumberSeries series = series(libraryId, Numbering.NEXT);
    int number = series.next(OptionalInt.empty(), process(tool.tool()), 1);
    Entry entry = new Entry(ids.next("entry"), libraryId, tool, number, "");
    entities.persist(entry);
    live.say("library", libraryId, "");
    return entry;
  }

  /** Gives out numbers of a library; nobody else does until the transaction ends. */
  NumberSeries series(long libraryId, Numbering numbering) {
    libraries.lockNumbers(libraryId);
    return new NumberSeries(
        numbering, entries.numbers(libraryId).stream().mapToInt(Integer::intValue));
  }

  static Process process(Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .map(toolClass -> toolClass.sheet().process())
        .orElse(Process.MILLING);
  }

  /** Every library that holds a tool follows its change. */
  @EventListener
  void follow(ToolChanged changed) {
    entries
        .findByToolId(changed.now().id(), Limit.of(MOST_LIBRARIES))
        .forEach(entry -> {
          entry.follow(changed.now());
          live.say("library", entry.libraryId, "");
        });
  }
}
