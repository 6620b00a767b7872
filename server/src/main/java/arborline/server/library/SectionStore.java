package arborline.server.library;

import arborline.core.library.SectionPath;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Sections of libraries and the tools in them; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class SectionStore {

  /** A library with more sections than this is no longer sorted by them. */
  static final int MOST = 500;

  private static final int LONGEST_TEXT = 300;

  /** The paths of an entry's sections in their order, as its text has them. */
  private static final String TEXTS =
      """
      update entry e set section = coalesce((
        select left(group_concat(
          if(p.id is null, s.name, concat(p.name, ' / ', s.name))
          order by coalesce(p.place, s.place), s.parent_id, s.place separator '; '), 300)
        from entry_section es
        join section s on s.id = es.section_id
        left join section p on p.id = s.parent_id
        where es.entry_id = e.id), '')\
      """;

  private final SectionRepository sections;
  private final JdbcClient jdbc;
  private final EntityManager entities;
  private final Bulk bulk;
  private final Ids ids;

  SectionStore(
      SectionRepository sections, JdbcClient jdbc, EntityManager entities, Bulk bulk, Ids ids) {
    this.sections = sections;
    this.jdbc = jdbc;
    this.entities = entities;
    this.bulk = bulk;
    this.ids = ids;
  }

  Section get(long libraryId, long sectionId) {
    return sections
        .findByIdAndLibraryId(sectionId, libraryId)
        .orElseThrow(() -> Refusal.notFound("the library has no section %d".formatted(sectionId)));
  }

  /** The section of a path, made where there is none; those it is in as well. */
  Section at(long libraryId, SectionPath path) {
    Section outer = at(libraryId, 0, path.name());
    return path.within().isEmpty() ? outer : at(libraryId, outer.id, path.within());
  }

  private Section at(long libraryId, long parentId, String name) {
    return sections
        .findByLibraryIdAndParentIdAndNameKey(libraryId, parentId, SectionPath.key(name))
        .orElseGet(() -> add(libraryId, parentId, name));
  }

  /** A new section behind the others; its name must be free there. */
  Section add(long libraryId, long parentId, String name) {
    List<Section> beside =
        sections.findByLibraryIdAndParentIdOrderByPlaceAscIdAsc(libraryId, parentId);
    if (sections.findByLibraryIdOrderByParentIdAscPlaceAscIdAsc(libraryId).size() >= MOST) {
      throw Refusal.conflict("a library has %d sections at most".formatted(MOST));
    }
    int place = beside.isEmpty() ? 1 : beside.getLast().place + 1;
    return sections.save(new Section(ids.next("section"), libraryId, parentId, name, place));
  }

  /** The text that an entry has for its sections, as far as it is kept. */
  static String text(List<SectionPath> paths) {
    String text = SectionPath.text(paths);
    return text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) : text;
  }

  /** Puts entries into sections; those that are in one already stay there. */
  void put(List<Section.Member> members) {
    entities.flush();
    bulk.insert(Section.MEMBERS, members);
  }

  /** The sections that an entry stands in. */
  List<Long> of(long entryId) {
    entities.flush();
    return jdbc.sql("select section_id from entry_section where entry_id = ?")
        .param(entryId)
        .query(Long.class)
        .list();
  }

  /** Those of some sections of a library that are there. */
  List<Long> existing(long libraryId, List<Long> sectionIds) {
    return sectionIds.stream()
        .filter(id -> sections.findByIdAndLibraryId(id, libraryId).isPresent())
        .toList();
  }

  List<Section.Member> members(long sectionId) {
    entities.flush();
    return jdbc.sql("select entry_id, section_id from entry_section where section_id = ?")
        .param(sectionId)
        .query(Section.Member.class)
        .list();
  }

  /** Takes entries out of sections. */
  void takeOut(List<Section.Member> members) {
    Map<Long, List<Long>> entries =
        members.stream()
            .collect(
                Collectors.groupingBy(
                    Section.Member::sectionId,
                    Collectors.mapping(Section.Member::entryId, Collectors.toList())));
    entries.forEach((section, ids) ->
        bulk.each(
            "delete from entry_section where section_id = %d and entry_id = ?".formatted(section),
            ids));
  }

  /** Writes the texts of entries anew that are in a section or in one within it. */
  void tellEntriesOf(long sectionId) {
    entities.flush();
    jdbc.sql(
            TEXTS
                + """
                 where e.id in (
                  select entry_id from entry_section es join section s on s.id = es.section_id
                  where s.id = :section or s.parent_id = :section)\
                """)
        .param("section", sectionId)
        .update();
  }

  /** Writes the texts of some entries anew. */
  void tell(Collection<Long> entryIds) {
    if (!entryIds.isEmpty()) {
      entities.flush();
      bulk.each(TEXTS + " where e.id = ?", entryIds);
    }
  }

  /** Writes the texts of all entries of a library anew. */
  void tellAll(long libraryId) {
    entities.flush();
    jdbc.sql(TEXTS + " where e.library_id = ?").param(libraryId).update();
  }
}
