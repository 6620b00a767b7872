package arborline.server.tool;

import arborline.core.library.Codes;
import arborline.core.library.Standing;
import arborline.server.support.Bulk;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A tool of the shop: its code for ever, and which version stands now. */
@Entity
@Table(name = "tool")
class ShopTool {

  @Id Long id;
  String code;
  String codeKey;
  long versionId;
  int versionNo;

  /** How far it is trusted: the place of a {@link Standing}. */
  int standing;

  /** The tool into which it was merged, and for which it only stands since; null for none. */
  @Nullable Long mergedInto;

  static final Bulk.Target<ShopTool> TARGET =
      new Bulk.Target<>(
          "tool",
          List.of("id", "code", "code_key", "version_id", "version_no", "standing"),
          tool ->
              new Object[] {
                tool.id, tool.code, tool.codeKey, tool.versionId, tool.versionNo, tool.standing
              });

  protected ShopTool() {}

  ShopTool(long id, String code, ToolVersion version, Standing standing) {
    this.id = id;
    this.standing = standing.place();
    call(code);
    stand(version);
  }

  /** Its own identity; once it was merged that of the other tool. */
  final long standsFor() {
    return mergedInto == null ? id : mergedInto;
  }

  final void call(String another) {
    this.code = another;
    this.codeKey = Codes.key(another);
  }

  final void stand(ToolVersion version) {
    this.versionId = version.id;
    this.versionNo = version.versionNo;
  }
}
