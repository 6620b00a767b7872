package arborline.server.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;

@Entity
public class Delivery {

  /** How far a delivery is. */
  public enum State {
    WAITING,
    READING,
    READY,
    STOPPED,
    FAILED
  }

  @Id
  @GeneratedValue(generator = "delivery_seq")
  @SequenceGenerator(name = "delivery_seq", allocationSize = 50)
  public Long id;

  public String name;
  public long size;

  @Enumerated(EnumType.STRING)
  public State state;

  public String note;
  public long linesRead;

  /** How much of its files was read for these lines. */
  public long bytesRead;

  public Instant createdAt;
  public String createdBy;

  /** Into which library its tools are meant to go; null for none. */
  public Long libraryId;

  /** When somebody put it away; null while it is there. */
  public Instant putAwayAt;

  protected Delivery() {}

  public Delivery(String name, long size, Instant at, String by) {
    this.name = name.length() > 200 ? name.substring(0, 200) : name;
    this.size = size;
    this.createdAt = at;
    this.createdBy = by;
    this.state = State.WAITING;
    this.note = "";
  }

  /** The name under which its work can be stopped. */
  public String work() {
    return "delivery-" + id;
  }

  public void say(String text) {
    note = text.length() > 500 ? text.substring(0, 500) : text;
  }
}
