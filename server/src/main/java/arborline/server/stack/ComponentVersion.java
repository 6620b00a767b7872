package arborline.server.stack;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.Instant;

/** What a component was at one time; never changes. */
@Entity
@IdClass(ComponentVersion.Key.class)
class ComponentVersion {

  /** Which version of which component. */
  record Key(long componentId, int versionNo) implements Serializable {}

  @Id long componentId;
  @Id int versionNo;
  String definition;
  Instant savedAt;
  String savedBy;

  protected ComponentVersion() {}

  ComponentVersion(ComponentRow row, String savedBy, Instant savedAt) {
    this.componentId = row.id;
    this.versionNo = row.versionNo;
    this.definition = row.definition;
    this.savedBy = savedBy;
    this.savedAt = savedAt;
  }
}
