package arborline.server.library;

import arborline.core.tool.Tool;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.math.BigDecimal;

/** A tool in a library, with its number there and what lists filter and sort by. */
@Entity
class Entry {

  @Id Long id;
  long libraryId;
  long toolId;
  long versionId;
  int number;
  String section;
  String code;
  String name;
  String classId;
  BigDecimal dc;

  protected Entry() {}

  Entry(long id, long libraryId, ShopTool owner, int number, String section, Tool tool) {
    this.id = id;
    this.libraryId = libraryId;
    this.toolId = owner.id;
    this.number = number;
    this.section = section;
    follow(owner, tool);
  }

  final void follow(ShopTool owner, Tool tool) {
    this.versionId = owner.versionId;
    this.code = owner.code;
    this.name = tool.name();
    this.classId = tool.toolClass();
    this.dc = StoredTools.diameter(tool);
  }
}
