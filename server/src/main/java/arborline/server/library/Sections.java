package arborline.server.library;

import arborline.core.library.SectionPath;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.UndoKind;
import arborline.server.trail.Undoable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sections of libraries: two levels, in an order, and a tool may stand in several. */
@Service
class Sections {

  private static final int MOST_TOOLS = 100_000;

  private final EntryStore store;
  private final SectionStore placing;
  private final SectionRepository sections;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;

  Sections(
      EntryStore store,
      SectionStore placing,
      SectionRepository sections,
      JdbcClient jdbc,
      Trail trail,
      Live live) {
    this.store = store;
    this.placing = placing;
    this.sections = sections;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
  }

  /**
   * A section.
   *
   * @param parent the section that it is in; null on the first level
   * @param tools that stand in it or in a section in it
   */
  record SectionView(long id, String name, @Nullable Long parent, long tools) {}

  /**
   * What was done.
   *
   * @param undo line of the trail that takes it back; 0 where nothing changed
   */
  record SectionDone(long id, long undo) {}

  @Transactional(readOnly = true)
  List<SectionView> all(long libraryId) {
    store.library(libraryId);
    Map<Long, Long> sizes = new HashMap<>();
    jdbc.sql(
            """
            select s.id, count(*) from section s
            join entry_section es on es.section_id = s.id where s.library_id = ? and s.parent_id > 0
            group by s.id
            union all
            select if(s.parent_id = 0, s.id, s.parent_id) as outer_id, count(distinct es.entry_id)
            from section s join entry_section es on es.section_id = s.id
            where s.library_id = ? group by outer_id\
            """)
        .params(libraryId, libraryId)
        .query(row -> {
          sizes.put(row.getLong(1), row.getLong(2));
        });
    List<Section> known = sections.findByLibraryIdOrderByParentIdAscPlaceAscIdAsc(libraryId);
    List<SectionView> views = new ArrayList<>();
    for (Section outer : known) {
      if (outer.parentId == 0) {
        views.add(view(outer, sizes));
        known.stream()
            .filter(inner -> inner.parentId == outer.id)
            .forEach(inner -> views.add(view(inner, sizes)));
      }
    }
    return views;
  }

  private static SectionView view(Section section, Map<Long, Long> sizes) {
    return new SectionView(
        section.id,
        section.name,
        section.parentId == 0 ? null : section.parentId,
        sizes.getOrDefault(section.id, 0L));
  }

  /** A new section, the last one where it is. */
  @Transactional
  SectionDone add(long libraryId, String name, @Nullable Long parent) {
    Library library = store.locked(libraryId);
    long parentId = outer(libraryId, parent);
    nameIsFree(libraryId, parentId, name, 0);
    Section section = placing.add(libraryId, parentId, name);
    return done(
        library,
        section.id,
        "made section %s in %s".formatted(section.name, library.name),
        SectionUndo.ADDED,
        new SectionUndo.Added(libraryId, section.id));
  }

  /** The identity of a section on the first level; 0 for none. */
  private long outer(long libraryId, @Nullable Long parent) {
    if (parent == null || parent == 0) {
      return 0;
    }
    Section outer = placing.get(libraryId, parent);
    if (outer.parentId != 0) {
      throw Refusal.badRequest(
          "sections have two levels: %s is in a section already".formatted(outer.name));
    }
    return outer.id;
  }

  private void nameIsFree(long libraryId, long parentId, String name, long sectionId) {
    SectionPath.fault(name == null ? "" : name)
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    sections
        .findByLibraryIdAndParentIdAndNameKey(libraryId, parentId, SectionPath.key(name))
        .filter(other -> other.id != sectionId)
        .ifPresent(other -> {
          throw Refusal.conflict("there is a section '%s' there already".formatted(other.name));
        });
  }

  /**
   * Renames a section or moves it.
   *
   * @param name null where it stays
   * @param parent 0 for the first level; null where it stays
   * @param before the section that it goes before; 0 for the last place, null where it stays
   */
  @Transactional
  SectionDone change(
      long libraryId,
      long sectionId,
      @Nullable String name,
      @Nullable Long parent,
      @Nullable Long before) {
    Library library = store.locked(libraryId);
    Section section = placing.get(libraryId, sectionId);
    SectionUndo.State was = SectionUndo.State.of(section);
    long parentId = parent == null ? section.parentId : outer(libraryId, parent);
    if (parentId != section.parentId) {
      mayGoInto(section, parentId);
    }
    nameIsFree(libraryId, parentId, name == null ? section.name : name, sectionId);
    String formerName = section.name;
    section.call(name == null ? section.name : name);
    if (parentId != section.parentId || before != null) {
      move(section, parentId, before == null ? 0 : before);
    }
    SectionUndo.State is = SectionUndo.State.of(section);
    if (was.equals(is)) {
      return new SectionDone(sectionId, 0);
    }
    placing.tellEntriesOf(sectionId);
    String text =
        formerName.equals(section.name)
            ? "moved section %s of %s".formatted(section.name, library.name)
            : "renamed section %s of %s to %s".formatted(formerName, library.name, section.name);
    return done(
        library, sectionId, text, SectionUndo.CHANGED, new SectionUndo.Changed(libraryId, was, is));
  }

  private void mayGoInto(Section section, long parentId) {
    boolean hasOthers =
        !sections
            .findByLibraryIdAndParentIdOrderByPlaceAscIdAsc(section.libraryId, section.id)
            .isEmpty();
    if (parentId == section.id || parentId != 0 && hasOthers) {
      throw Refusal.conflict(
          "sections have two levels: %s has sections in it and stays on the first"
              .formatted(section.name));
    }
  }

  private void move(Section section, long parentId, long before) {
    List<Section> beside =
        new ArrayList<>(
            sections.findByLibraryIdAndParentIdOrderByPlaceAscIdAsc(section.libraryId, parentId));
    beside.removeIf(other -> other.id.equals(section.id));
    int at = beside.size();
    for (int i = 0; i < beside.size(); i++) {
      at = beside.get(i).id == before ? i : at;
    }
    beside.add(at, section);
    section.parentId = parentId;
    for (int i = 0; i < beside.size(); i++) {
      beside.get(i).place = i + 1;
    }
  }

  /** Deletes a section with those in it; its tools stay in the library. */
  @Transactional
  Undoable delete(long libraryId, long sectionId) {
    Library library = store.locked(libraryId);
    Section section = placing.get(libraryId, sectionId);
    List<Section> gone = new ArrayList<>(List.of(section));
    gone.addAll(sections.findByLibraryIdAndParentIdOrderByPlaceAscIdAsc(libraryId, sectionId));
    List<SectionUndo.State> states = gone.stream().map(SectionUndo.State::of).toList();
    List<Section.Member> members = new ArrayList<>();
    for (Section one : gone) {
      members.addAll(placing.members(one.id));
    }
    gone.forEach(sections::delete);
    placing.tell(members.stream().map(Section.Member::entryId).distinct().toList());
    SectionDone done =
        done(
            library,
            sectionId,
            "deleted section %s of %s".formatted(section.name, library.name),
            SectionUndo.DELETED,
            new SectionUndo.Deleted(libraryId, states, members));
    return new Undoable(done.undo());
  }

  /** Puts tools of the library into a section, beside those that they are in. */
  @Transactional
  SectionDone put(long libraryId, long sectionId, List<Long> toolIds) {
    Library library = store.locked(libraryId);
    Section section = placing.get(libraryId, sectionId);
    List<Section.Member> fresh = new ArrayList<>(held(libraryId, toolIds, sectionId));
    fresh.removeAll(new HashSet<>(placing.members(sectionId)));
    placing.put(fresh);
    return filed(library, section, fresh, true);
  }

  /** Takes tools out of a section; they stay in the library. */
  @Transactional
  SectionDone takeOut(long libraryId, long sectionId, List<Long> toolIds) {
    Library library = store.locked(libraryId);
    Section section = placing.get(libraryId, sectionId);
    List<Section.Member> out = new ArrayList<>(held(libraryId, toolIds, sectionId));
    out.retainAll(new HashSet<>(placing.members(sectionId)));
    placing.takeOut(out);
    return filed(library, section, out, false);
  }

  private List<Section.Member> held(long libraryId, List<Long> toolIds, long sectionId) {
    if (toolIds.size() > MOST_TOOLS) {
      throw Refusal.badRequest("at most %d tools at once".formatted(MOST_TOOLS));
    }
    List<Section.Member> members = new ArrayList<>();
    for (long entryId : store.entryIds(libraryId, toolIds)) {
      members.add(new Section.Member(entryId, sectionId));
    }
    return members;
  }

  private SectionDone filed(
      Library library, Section section, List<Section.Member> members, boolean in) {
    if (members.isEmpty()) {
      return new SectionDone(section.id, 0);
    }
    placing.tell(members.stream().map(Section.Member::entryId).toList());
    String text =
        "%s %s %s section %s of %s"
            .formatted(
                in ? "put" : "took",
                TrailRecord.count(members.size(), "tool"),
                in ? "into" : "out of",
                section.name,
                library.name);
    return done(
        library,
        section.id,
        text,
        SectionUndo.FILED,
        new SectionUndo.Filed(library.id, members, in));
  }

  private <D> SectionDone done(
      Library library, long sectionId, String text, UndoKind<D> kind, D deed) {
    live.say("library", library.id, "");
    return new SectionDone(
        sectionId, trail.record(TrailRecord.of("library", library.id, text).undoneBy(kind, deed)));
  }
}
