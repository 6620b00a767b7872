package arborline.server.machine;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

@Entity
@Table(name = "machine")
class MachineRow {

  @Id String id;
  String name;
  String definition;
  String link;

  protected MachineRow() {}

  MachineRow(String id, String name, String definition, String link) {
    this.id = id;
    this.name = name;
    this.definition = definition;
    this.link = link;
  }
}
