package arborline.server.receiving;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;

@Entity
class Delivery {

  /** How far a delivery is. */
  enum State {
    WAITING,
    READING,
    READY,
    STOPPED,
    FAILED
  }

  @Id
  @GeneratedValue(generator = "delivery_seq")
  @SequenceGenerator(name = "delivery_seq", allocationSize = 50)
  Long id;

  String name;
  long size;

  @Enumerated(EnumType.STRING)
  State state;

  String note;
  long linesRead;
  Instant createdAt;
  String createdBy;

  /** When somebody put it away; null while it is there. */
  Instant putAwayAt;

  protected Delivery() {}

  Delivery(String name, long size, Instant at, String by) {
    this.name = name.length() > 200 ? name.substring(0, 200) : name;
    this.size = size;
    this.createdAt = at;
    this.createdBy = by;
    this.state = State.WAITING;
    this.note = "";
  }

  /** The name under which its work can be stopped. */
  String work() {
    return "delivery-" + id;
  }

  void say(String text) {
    note = text.length() > 500 ? text.substring(0, 500) : text;
  }
}
