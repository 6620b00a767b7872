package arborline.server.delivery;

import arborline.server.support.FileKind;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** One file of a delivery. */
@Entity
@Table(name = "delivery_document")
@IdClass(Document.Key.class)
public class Document {

  /** The format of a ZIP inside a ZIP, which is not opened. */
  public static final String ZIP = "zip";

  /** The format of a picture, a model or a document, which belongs to tools and holds none. */
  public static final String ATTACHMENT = "attachment";

  /** The format of a manifest or a dictionary of a vendor, which is about the other files. */
  public static final String DESCRIPTION = "description";

  /** The format of property files of vendors. */
  public static final String PROPERTIES = "properties";

  /** Which file of which delivery, from 0. */
  public record Key(long deliveryId, int fileNo) implements Serializable {}

  @Id public long deliveryId;
  @Id public int fileNo;
  public String name;

  /** Where it stood in its ZIP; its name where it came by itself. */
  public String path;

  public String format;
  public long size;

  /** When it was last changed; the day it was received where nobody says. */
  public LocalDate dated;

  /** Of the content of an attachment; null for others. */
  public @Nullable String sha256;

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

  /** True for a model that is read as an item of its own where no line names it. */
  public boolean solid() {
    return format.equals(ATTACHMENT) && FileKind.solid(name);
  }

  protected Document() {}

  public Document(
      long deliveryId,
      int fileNo,
      String name,
      String path,
      long size,
      LocalDate dated,
      String format,
      String reading) {
    this.deliveryId = deliveryId;
    this.fileNo = fileNo;
    this.name = name.length() > 200 ? name.substring(0, 200) : name;
    this.path = path.length() > 500 ? path.substring(path.length() - 500) : path;
    this.size = size;
    this.dated = dated;
    this.format = format;
    this.reading = reading;
  }
}
