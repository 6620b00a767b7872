package arborline.server.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import org.hibernate.annotations.Immutable;

/** A finding of a line, for filters; written in batches by the inspection. */
@Entity
@Immutable
@IdClass(LineFinding.Key.class)
class LineFinding {

  @Id long lineId;
  @Id String code;
  String kind;
  long deliveryId;
  String severity;
  String repairId;

  protected LineFinding() {}

  record Key(long lineId, String code) implements Serializable {}
}
