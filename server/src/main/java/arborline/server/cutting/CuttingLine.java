package arborline.server.cutting;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.math.BigDecimal;
import java.time.Instant;

/** Speed and feed of a tool for a material and a purpose. */
@Entity
class CuttingLine {

  /** Where a line comes from; what was proven at a machine beats the rest. */
  enum Origin {
    PROVEN,
    FIXED,
    CATALOGUE,
    CALCULATED
  }

  @Id
  @GeneratedValue(generator = "cutting_line_seq")
  @SequenceGenerator(name = "cutting_line_seq", allocationSize = 50)
  Long id;

  long toolId;
  String material;
  String purpose;
  BigDecimal speed;
  BigDecimal feed;
  BigDecimal depth;
  BigDecimal width;
  String coolant;

  @Enumerated(EnumType.STRING)
  Origin origin;

  String saidBy;
  Instant saidAt;
  String machine;
  BigDecimal beforeSpeed;
  BigDecimal beforeFeed;

  /** Grows with each change. */
  int versionNo = 1;

  protected CuttingLine() {}

  CuttingLine(long toolId) {
    this.toolId = toolId;
  }
}
