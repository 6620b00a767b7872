package arborline.core.duplicate;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * Within what two sizes are the same: lengths within a distance, angles within a tenth of a degree,
 * counts only when they are equal.
 *
 * @param length mm, not negative
 */
public record Tolerance(BigDecimal length) {

  /** What measuring tools of a tool room tell apart. */
  public static final Tolerance USUAL = new Tolerance(new BigDecimal("0.02"));

  private static final BigDecimal ANGLE = new BigDecimal("0.1");
  private static final int DECIMALS = 6;

  public Tolerance {
    if (length.signum() < 0) {
      throw new IllegalArgumentException("a tolerance is not negative: " + length);
    }
  }

  /**
   * The tolerance of a property in millionths of its unit; empty for one that says nothing of the
   * shape.
   */
  public static Optional<Kind> kind(String symbol) {
    return Dictionary.standard().find(symbol).flatMap(Property::unit).flatMap(Tolerance::kind);
  }

  private static Optional<Kind> kind(Unit unit) {
    return switch (unit) {
      case MILLIMETRE -> Optional.of(Kind.LENGTH);
      case DEGREE -> Optional.of(Kind.ANGLE);
      case ONE -> Optional.of(Kind.COUNT);
      default -> Optional.empty();
    };
  }

  /** What a size of the shape is. */
  public enum Kind {
    LENGTH,
    ANGLE,
    COUNT
  }

  /** How far two sizes of a kind may be apart, in millionths. */
  long of(Kind kind) {
    return switch (kind) {
      case LENGTH -> millionths(length);
      case ANGLE -> millionths(ANGLE);
      case COUNT -> 0;
    };
  }

  /** A size in millionths of its unit. */
  static long millionths(BigDecimal size) {
    return size.movePointRight(DECIMALS).longValue();
  }
}
