package arborline.server.stack;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.Instant;

/** What a stack was at one time; never changes. */
@Entity
@IdClass(StackVersion.Key.class)
class StackVersion {

  /** Which version of which stack. */
  record Key(long stackId, int versionNo) implements Serializable {}

  @Id long stackId;
  @Id int versionNo;

  /** A {@link StackState} as JSON. */
  String state;

  Instant savedAt;
  String savedBy;

  protected StackVersion() {}

  StackVersion(StackRow row, String state, String savedBy, Instant savedAt) {
    this.stackId = row.id;
    this.versionNo = row.versionNo;
    this.state = state;
    this.savedBy = savedBy;
    this.savedAt = savedAt;
  }
}
