package arborline.server.library;

import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.library.SectionPath;
import arborline.core.sharing.LibraryRight;
import arborline.server.support.Bulk;
import arborline.server.tool.ToolStore;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Gives tools of a library other numbers and sections; always inside a caller's transaction. */
@Component
public class LibraryPlaces {

  private final EntryStore store;
  private final EntryRepository entries;
  private final SectionStore sections;
  private final EntityManager entities;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final ToolStore tools;

  LibraryPlaces(
      EntryStore store,
      EntryRepository entries,
      SectionStore sections,
      EntityManager entities,
      JdbcClient jdbc,
      Bulk bulk,
      ToolStore tools) {
    this.tools = tools;
    this.store = store;
    this.entries = entries;
    this.sections = sections;
    this.entities = entities;
    this.jdbc = jdbc;
    this.bulk = bulk;
  }

  /**
   * Where a tool is to stand.
   *
   * @param section paths of its sections as one text; blank for none
   */
  public record Place(long toolId, int number, String section) {}

  /**
   * Moves tools that the library holds, each in its newest version from now on; where another tool
   * has the number, the next free one is taken.
   *
   * @return tools with another number than was wanted
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public Map<Long, Integer> move(long libraryId, Collection<Place> wanted) {
    Library library = store.locked(libraryId, LibraryRight.MAINTAIN);
    entities.flush();
    Map<Long, Entry> known =
        entries
            .findByIdIn(store.entryIds(libraryId, wanted.stream().map(Place::toolId).toList()))
            .stream()
            .collect(Collectors.toMap(entry -> entry.toolId, Function.identity()));
    List<Place> renumbered =
        wanted.stream()
            .filter(place -> known.get(place.toolId()).number != place.number())
            .toList();
    Map<Long, Integer> others = number(library, renumbered, known);
    wanted.stream()
        .filter(place -> !known.get(place.toolId()).section.equals(place.section()))
        .forEach(place -> section(library, known.get(place.toolId()), place.section()));
    known.values().stream()
        .filter(entry -> entry.pinned)
        .forEach(entry -> store.follow(entry, tools.get(entry.toolId)));
    entities.flush();
    entities.clear();
    return others;
  }

  /** Their numbers are given up first, so that two tools can change theirs. */
  private Map<Long, Integer> number(
      Library library, List<Place> renumbered, Map<Long, Entry> known) {
    int free = 0;
    for (Place place : renumbered) {
      write(known.get(place.toolId()).id, --free);
    }
    NumberSeries numbers = store.series(library, Numbering.KEEP);
    Map<Long, Integer> others = new HashMap<>();
    List<Place> late = new ArrayList<>();
    for (Place place : renumbered) {
      Entry entry = known.get(place.toolId());
      if (numbers.claim(place.number(), EntryStore.process(entry.classId))) {
        write(entry.id, place.number());
      } else {
        late.add(place);
      }
    }
    for (Place place : late) {
      Entry entry = known.get(place.toolId());
      int next =
          numbers
              .next(OptionalInt.empty(), entry.classId, EntryStore.process(entry.classId), 1)
              .orElseThrow(() -> EntryStore.noNumberLeft(library, entry.classId));
      write(entry.id, next);
      others.put(place.toolId(), next);
    }
    return others;
  }

  private void write(long entryId, int number) {
    jdbc.sql("update entry set number = ? where id = ?").params(number, entryId).update();
  }

  private void section(Library library, Entry entry, String section) {
    bulk.each("delete from entry_section where entry_id = ?", List.of(entry.id));
    sections.put(
        SectionPath.parse(section).stream()
            .map(path -> sections.at(library.id, path).id)
            .distinct()
            .map(id -> new Section.Member(entry.id, id))
            .toList());
    sections.tell(List.of(entry.id));
  }
}
