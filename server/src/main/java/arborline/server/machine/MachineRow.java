package arborline.server.machine;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "machine")
class MachineRow {

  @Id String id;
  String name;
  String definition;

  /** Address of the control; empty where none is linked. */
  String link;

  /** Grows with each change of the definition. */
  @Column(name = "version_no")
  int versionNo = 1;

  @Nullable Instant retiredAt;

  protected MachineRow() {}

  MachineRow(String id, String name, String definition, String link) {
    this.id = id;
    this.name = name;
    this.definition = definition;
    this.link = link;
  }
}
