package arborline.server.library;

import arborline.core.library.SectionPath;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Takes back what was done to sections and to what stands in them. */
@Configuration
class SectionUndo {

  /** A section as it was. */
  record State(long id, long parentId, String name, int place) {

    static State of(Section section) {
      return new State(section.id, section.parentId, section.name, section.place);
    }
  }

  record Added(long libraryId, long sectionId) {}

  record Changed(long libraryId, State before, State after) {}

  record Deleted(long libraryId, List<State> sections, List<Section.Member> members) {}

  /**
   * @param in true where the entries were put in, false where they were taken out
   */
  record Filed(long libraryId, List<Section.Member> members, boolean in) {}

  static final UndoKind<Added> ADDED =
      new UndoKind<>("section.added", 1, Added.class, Permission.EDIT);
  static final UndoKind<Changed> CHANGED =
      new UndoKind<>("section.changed", 1, Changed.class, Permission.EDIT);
  static final UndoKind<Deleted> DELETED =
      new UndoKind<>("section.deleted", 1, Deleted.class, Permission.EDIT);
  static final UndoKind<Filed> FILED =
      new UndoKind<>("section.filed", 1, Filed.class, Permission.EDIT);

  private final EntryStore store;
  private final SectionStore placing;
  private final SectionRepository sections;
  private final JdbcClient jdbc;
  private final Live live;

  SectionUndo(
      EntryStore store,
      SectionStore placing,
      SectionRepository sections,
      JdbcClient jdbc,
      Live live) {
    this.store = store;
    this.placing = placing;
    this.sections = sections;
    this.jdbc = jdbc;
    this.live = live;
  }

  @Bean
  Undo<Added> undoSectionAdded() {
    return Undo.of(
        ADDED,
        added -> {
          store.locked(added.libraryId());
          Section section = placing.get(added.libraryId(), added.sectionId());
          if (!empty(section)) {
            throw Refusal.conflict(
                "section %s is used; delete it on the page of the library".formatted(section.name));
          }
          sections.delete(section);
          live.say("library", added.libraryId(), "");
        });
  }

  private boolean empty(Section section) {
    return sections
            .findByLibraryIdAndParentIdOrderByPlaceAscIdAsc(section.libraryId, section.id)
            .isEmpty()
        && !jdbc.sql("select exists(select 1 from entry_section where section_id = ?)")
            .param(section.id)
            .query(Boolean.class)
            .single();
  }

  @Bean
  Undo<Changed> undoSectionChanged() {
    return Undo.of(
        CHANGED,
        changed -> {
          store.locked(changed.libraryId());
          Section section = placing.get(changed.libraryId(), changed.after().id());
          State was = changed.before();
          State is = changed.after();
          if (section.parentId != is.parentId() || !section.name.equals(is.name())) {
            throw Refusal.conflict(
                "this was changed again since; take the later change back first");
          }
          if (was.parentId() != 0) {
            placing.get(changed.libraryId(), was.parentId());
          }
          nameIsFree(changed.libraryId(), was);
          section.parentId = was.parentId();
          section.place = was.place();
          section.call(was.name());
          placing.tellEntriesOf(section.id);
          live.say("library", changed.libraryId(), "");
        });
  }

  private void nameIsFree(long libraryId, State state) {
    sections
        .findByLibraryIdAndParentIdAndNameKey(
            libraryId, state.parentId(), SectionPath.key(state.name()))
        .filter(other -> other.id != state.id())
        .ifPresent(other -> {
          throw Refusal.conflict(
              "there is another section '%s' now; rename that one first".formatted(other.name));
        });
  }

  @Bean
  Undo<Deleted> undoSectionDeleted() {
    return Undo.of(
        DELETED,
        deleted -> {
          store.locked(deleted.libraryId());
          for (State state : deleted.sections()) {
            boolean within =
                deleted.sections().stream().anyMatch(one -> one.id() == state.parentId());
            if (state.parentId() != 0 && !within) {
              placing.get(deleted.libraryId(), state.parentId());
            }
            nameIsFree(deleted.libraryId(), state);
            sections.save(
                new Section(
                    state.id(),
                    deleted.libraryId(),
                    state.parentId(),
                    state.name(),
                    state.place()));
          }
          file(deleted.members());
          live.say("library", deleted.libraryId(), "");
        });
  }

  /** Puts entries into sections again, as far as both are still there and they are not. */
  private void file(List<Section.Member> members) {
    Set<Long> there =
        store.existing(members.stream().map(Section.Member::entryId).distinct().toList());
    Set<Section.Member> already =
        members.stream()
            .map(Section.Member::sectionId)
            .distinct()
            .flatMap(section -> placing.members(section).stream())
            .collect(Collectors.toSet());
    List<Section.Member> again =
        members.stream()
            .filter(member -> there.contains(member.entryId()) && !already.contains(member))
            .toList();
    placing.put(again);
    placing.tell(again.stream().map(Section.Member::entryId).distinct().toList());
  }

  @Bean
  Undo<Filed> undoFiled() {
    return Undo.of(
        FILED,
        filed -> {
          store.locked(filed.libraryId());
          if (filed.in()) {
            placing.takeOut(filed.members());
            placing.tell(filed.members().stream().map(Section.Member::entryId).toList());
          } else {
            filed.members().stream()
                .map(Section.Member::sectionId)
                .distinct()
                .forEach(section -> placing.get(filed.libraryId(), section));
            file(filed.members());
          }
          live.say("library", filed.libraryId(), "");
        });
  }
}
