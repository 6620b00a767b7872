package arborline.server.library;

import arborline.core.library.Codes;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A tool of the shop: its code for ever, and which version stands now. */
@Entity
@Table(name = "tool")
class ShopTool {

  @Id Long id;
  String code;
  String codeKey;
  long versionId;
  int versionNo;

  protected ShopTool() {}

  ShopTool(long id, String code, ToolVersion version) {
    this.id = id;
    this.code = code;
    this.codeKey = Codes.key(code);
    stand(version);
  }

  final void stand(ToolVersion version) {
    this.versionId = version.id;
    this.versionNo = version.versionNo;
  }
}
