package arborline.server.library;

import arborline.core.library.LibraryProcess;
import arborline.core.library.SearchWords;
import arborline.core.tool.Completed;
import arborline.server.support.Bulk;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.StoredTools;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.util.List;
import org.hibernate.annotations.DynamicUpdate;

/**
 * A tool in a library, with its number there and what lists filter and sort by. Only what changed
 * is written: what belongs to the tool is written beside it by others.
 */
@Entity
@DynamicUpdate
class Entry {

  @Id Long id;
  long libraryId;
  long toolId;
  long versionId;

  /** True where it stays at its version, whatever becomes of the tool. */
  boolean pinned;

  int number;

  /** Among whose numbers its own is the only one of its size. */
  @Enumerated(EnumType.STRING)
  LibraryProcess process;

  /** The paths of its sections as one text; which they are stands in another table. */
  String section;

  String code;
  String name;
  String classId;
  BigDecimal dc;

  /** What a search compares; {@link SearchWords#text}. */
  String words;

  /** True once the tables of words and sizes lead here by all of them. */
  boolean worded;

  static final Bulk.Target<Entry> TARGET =
      new Bulk.Target<>(
          "entry",
          List.of(
              "id",
              "library_id",
              "tool_id",
              "version_id",
              "pinned",
              "number",
              "process",
              "section",
              "code",
              "name",
              "class_id",
              "dc",
              "words"),
          entry ->
              new Object[] {
                entry.id,
                entry.libraryId,
                entry.toolId,
                entry.versionId,
                entry.pinned,
                entry.number,
                entry.process.name(),
                entry.section,
                entry.code,
                entry.name,
                entry.classId,
                entry.dc,
                entry.words
              });

  protected Entry() {}

  Entry(long id, long libraryId, CurrentTool tool, LibraryProcess process, int number) {
    this.id = id;
    this.libraryId = libraryId;
    this.toolId = tool.id();
    this.number = number;
    this.process = process;
    this.section = "";
    hold(tool);
  }

  /** Goes to a version of its tool. */
  final void hold(CurrentTool tool) {
    if (versionId != tool.versionId()) {
      this.versionId = tool.versionId();
      this.worded = false;
    }
    call(tool.code(), tool.tool().name());
    this.classId = tool.tool().toolClass();
    this.dc = StoredTools.diameter(Completed.of(tool.tool()).tool());
  }

  /** Gets another code; the version stays. */
  final void recode(String another) {
    call(another, name);
  }

  /** Gets code and name of its version. */
  final void call(String another, String title) {
    if (!another.equals(code) || !title.equals(name)) {
      this.code = another;
      this.name = title;
      this.words = SearchWords.text(SearchWords.of(another, title));
      this.worded = false;
    }
  }
}
