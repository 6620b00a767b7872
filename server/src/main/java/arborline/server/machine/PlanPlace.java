package arborline.server.machine;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import org.jspecify.annotations.Nullable;

@Entity
@IdClass(PlanPlace.Key.class)
class PlanPlace {

  @Id String machineId;
  @Id String place;
  long toolId;
  String fields;

  /** The library from which it was picked; null where nobody said. */
  @Nullable Long libraryId;

  protected PlanPlace() {}

  PlanPlace(String machineId, String place, long toolId, long libraryId, String fields) {
    this.machineId = machineId;
    this.place = place;
    this.toolId = toolId;
    this.fields = fields;
    this.libraryId = libraryId == 0 ? null : libraryId;
  }

  /** The library from which it was picked; 0 where nobody said. */
  long library() {
    return libraryId == null ? 0 : libraryId;
  }

  record Key(String machineId, String place) implements Serializable {}
}
