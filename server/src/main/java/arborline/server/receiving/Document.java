package arborline.server.receiving;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** One file of a delivery. */
@Entity
@Table(name = "delivery_document")
@IdClass(Document.Key.class)
class Document {

  /** Which file of which delivery, from 0. */
  record Key(long deliveryId, int fileNo) implements Serializable {}

  @Id long deliveryId;
  @Id int fileNo;
  String name;
  String format;
  long size;

  /** How a text table is read, as JSON. */
  String reading;

  /** Grows each time somebody has it read anew. */
  int readingNo;

  /** How many of its lines are stored. */
  long linesRead;

  /** True once all that can be read is stored. */
  boolean finished;

  /** Why it could not be read to its end; null where it was. */
  String problem;

  protected Document() {}

  Document(long deliveryId, int fileNo, String name, long size, String format, String reading) {
    this.deliveryId = deliveryId;
    this.fileNo = fileNo;
    this.name = name.length() > 200 ? name.substring(0, 200) : name;
    this.size = size;
    this.format = format;
    this.reading = reading;
  }
}
