package arborline.server.tool;

import arborline.core.inspect.ContentHash;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.server.support.Bulk;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What a tool was at one time. Never changed, never deleted. */
@Entity
@Immutable
class ToolVersion {

  @Id Long id;
  long toolId;
  int versionNo;
  String name;
  String classId;
  String hash;
  String vals;
  String sizes;
  @Nullable Long dimensionKey;
  @Nullable String insertKey;
  String origin;
  Instant createdAt;
  String createdBy;

  static final Bulk.Target<ToolVersion> TARGET =
      new Bulk.Target<>(
          "tool_version",
          List.of(
              "id",
              "tool_id",
              "version_no",
              "name",
              "class_id",
              "hash",
              "vals",
              "sizes",
              "dimension_key",
              "insert_key",
              "origin",
              "created_at",
              "created_by"),
          version ->
              new Object[] {
                version.id,
                version.toolId,
                version.versionNo,
                version.name,
                version.classId,
                version.hash,
                version.vals,
                version.sizes,
                version.dimensionKey,
                version.insertKey,
                version.origin,
                Timestamp.from(version.createdAt),
                version.createdBy
              });

  protected ToolVersion() {}

  ToolVersion(
      long id, long toolId, int versionNo, Tool tool, String origin, Instant at, String by) {
    this.id = id;
    this.toolId = toolId;
    this.versionNo = versionNo;
    this.name = tool.name();
    this.classId = tool.toolClass();
    this.hash = ContentHash.of(tool);
    this.vals = StoredTools.values(tool);
    Tool completed = Completed.of(tool).tool();
    this.sizes = StoredTools.sizes(completed);
    this.dimensionKey = StoredTools.dimensionKey(completed);
    this.insertKey = StoredTools.insertKey(completed);
    this.origin = origin;
    this.createdAt = at;
    this.createdBy = by;
  }

  Tool tool(String code) {
    return StoredTools.tool(code, name, classId, vals);
  }
}
