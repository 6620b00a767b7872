package arborline.server.cutting;

import arborline.core.cutting.CuttingOrigin;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Speed and feed of a tool for a material and a purpose. */
@Entity
class CuttingLine {

  @Id
  @GeneratedValue(generator = "cutting_line_seq")
  @SequenceGenerator(name = "cutting_line_seq", allocationSize = 50)
  Long id;

  long toolId;
  String material;

  /** The grade of the material that was named; blank where none was. */
  String grade = "";

  String purpose;
  BigDecimal speed;
  BigDecimal feed;
  BigDecimal depth;
  BigDecimal width;
  String coolant;

  @Enumerated(EnumType.STRING)
  CuttingOrigin origin;

  String saidBy;
  Instant saidAt;
  String machine;
  BigDecimal beforeSpeed;
  BigDecimal beforeFeed;

  /** Formulas by field as JSON, for numbers that follow from others; null without any. */
  @Nullable String formulas;

  /** Grows with each change. */
  int versionNo = 1;

  protected CuttingLine() {}

  CuttingLine(long toolId) {
    this.toolId = toolId;
  }
}
