package arborline.server.machine;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;

@Entity
@IdClass(PlanPlace.Key.class)
class PlanPlace {

  @Id String machineId;
  @Id String place;
  long toolId;
  String fields;

  protected PlanPlace() {}

  PlanPlace(String machineId, String place, long toolId, String fields) {
    this.machineId = machineId;
    this.place = place;
    this.toolId = toolId;
    this.fields = fields;
  }

  record Key(String machineId, String place) implements Serializable {}
}
