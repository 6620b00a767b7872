package arborline.server.library;

import arborline.core.library.SectionPath;
import arborline.server.support.Bulk;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.List;

/** A section of a library, or one in such a section. */
@Entity
class Section {

  @Id Long id;
  long libraryId;

  /** The section that it is in; 0 on the first level. */
  long parentId;

  String name;
  String nameKey;

  /** Among those beside it, from 1. */
  int place;

  static final Bulk.Target<Member> MEMBERS =
      new Bulk.Target<>(
          "entry_section",
          List.of("entry_id", "section_id"),
          member -> new Object[] {member.entryId(), member.sectionId()});

  /** That a tool stands in a section. */
  record Member(long entryId, long sectionId) {}

  protected Section() {}

  Section(long id, long libraryId, long parentId, String name, int place) {
    this.id = id;
    this.libraryId = libraryId;
    this.parentId = parentId;
    this.place = place;
    call(name);
  }

  final void call(String another) {
    this.name = another.strip();
    this.nameKey = SectionPath.key(another);
  }
}
