package arborline.core.measure;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * What is to be said about a size that was entered.
 *
 * @param value what it means, in the unit of the machine
 * @param suspicion what may have gone wrong; empty where it is plausible
 * @param proposal what it probably should be, at the decimals of the machine; empty where that is
 *     not known
 */
public record MeasurementVerdict(
    BigDecimal value, Optional<Suspicion> suspicion, Optional<BigDecimal> proposal) {

  static MeasurementVerdict plausible(BigDecimal value) {
    return new MeasurementVerdict(value, Optional.empty(), Optional.empty());
  }

  static MeasurementVerdict of(BigDecimal value, Suspicion suspicion) {
    return new MeasurementVerdict(value, Optional.of(suspicion), Optional.empty());
  }

  /** False where somebody has to answer for it; that is not to say that it is wrong. */
  public boolean accepted() {
    return suspicion.isEmpty();
  }
}
