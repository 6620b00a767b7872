package arborline.server.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** One file of a delivery. */
@Entity
@Table(name = "delivery_document")
@IdClass(Document.Key.class)
public class Document {

  /** The format of a ZIP inside a ZIP, which is not opened. */
  public static final String ZIP = "zip";

  /** Which file of which delivery, from 0. */
  public record Key(long deliveryId, int fileNo) implements Serializable {}

  @Id public long deliveryId;
  @Id public int fileNo;
  public String name;
  public String format;
  public long size;

  /** How a text table is read, as JSON. */
  public String reading;

  /** Grows each time somebody has it read anew. */
  public int readingNo;

  /** How many of its lines are stored. */
  public long linesRead;

  /** True once all that can be read is stored. */
  public boolean finished;

  /** Why it could not be read to its end; null where it was. */
  public String problem;

  protected Document() {}

  public Document(
      long deliveryId, int fileNo, String name, long size, String format, String reading) {
    this.deliveryId = deliveryId;
    this.fileNo = fileNo;
    this.name = name.length() > 200 ? name.substring(0, 200) : name;
    this.size = size;
    this.format = format;
    this.reading = reading;
  }
}
