package arborline.core.measure;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Says whether a size that was entered can be that of its tool, and what may have gone wrong where
 * it cannot. Only a size that is not plausible is suspected of anything: two sister tools may well
 * have the same length. A unit that was written with the number is believed.
 */
public final class MeasurementJudge {

  private static final BigDecimal INCH = new BigDecimal("25.4");
  private static final int MOST_SLIPPED = 3;
  private static final int DIVIDED_DECIMALS = 15;

  private final Measurement measurement;
  private final Plausible plausible;
  private final EnteredSize entered;
  private final BigDecimal value;

  private MeasurementJudge(Measurement measurement, EnteredSize entered) {
    this.measurement = measurement;
    this.plausible = new Plausible(measurement.unit(), measurement.size());
    this.entered = entered;
    this.value = entered.in(measurement.unit());
  }

  /** The verdict; empty where what was entered is no length at all. */
  public static Optional<MeasurementVerdict> verdict(Measurement measurement) {
    return EnteredSize.of(measurement.entered(), measurement.unit())
        .map(entered -> new MeasurementJudge(measurement, entered).verdict());
  }

  private MeasurementVerdict verdict() {
    if (value.signum() == 0) {
      return MeasurementVerdict.of(value, Suspicion.ZERO);
    }
    if (fits(value)) {
      return MeasurementVerdict.plausible(value);
    }
    if (repeated()) {
      return MeasurementVerdict.of(value, Suspicion.REPEATED_LAST_VALUE);
    }
    return Stream.of(
            otherUnit(),
            proposed(Suspicion.SLIPPED_DECIMAL, slipped()),
            doubled(),
            proposed(Suspicion.DIGIT_TRANSPOSED, transposed()))
        .flatMap(Optional::stream)
        .findFirst()
        .orElseGet(() -> MeasurementVerdict.of(value, ofNeighbour()));
  }

  private boolean fits(BigDecimal size) {
    return plausible.holds(measurement.row(), size);
  }

  /** Exactly what was entered just before for another row, or what this row had before. */
  private boolean repeated() {
    Optional<BigDecimal> justBefore =
        measurement.before().reversed().stream()
            .filter(before -> !before.place().equals(measurement.row().place()))
            .findFirst()
            .flatMap(before -> EnteredSize.of(before.entered(), measurement.unit()))
            .map(before -> before.in(measurement.unit()));
    return Stream.of(justBefore, measurement.row().last())
        .flatMap(Optional::stream)
        .anyMatch(other -> other.compareTo(value) == 0);
  }

  private Optional<MeasurementVerdict> otherUnit() {
    if (entered.named()) {
      return Optional.empty();
    }
    return measurement.unit() == Unit.INCH
        ? proposed(
            Suspicion.MM_FOR_INCH,
            Stream.of(value.divide(INCH, DIVIDED_DECIMALS, RoundingMode.HALF_UP)))
        : proposed(Suspicion.INCH_FOR_MM, Stream.of(value.multiply(INCH)));
  }

  private Optional<MeasurementVerdict> doubled() {
    return measurement.size() == MeasuredSize.DIAMETER
        ? proposed(Suspicion.RADIUS_FOR_DIAMETER, Stream.of(value.multiply(BigDecimal.TWO)))
        : Optional.empty();
  }

  private Stream<BigDecimal> slipped() {
    return IntStream.rangeClosed(-MOST_SLIPPED, MOST_SLIPPED)
        .filter(places -> places != 0)
        .mapToObj(value::scaleByPowerOfTen);
  }

  /** The number with two neighbouring digits exchanged, also over the point. */
  private Stream<BigDecimal> transposed() {
    if (entered.typed().signum() < 0) {
      return Stream.empty();
    }
    String text = entered.typed().toPlainString();
    int[] digits = IntStream.range(0, text.length()).filter(at -> text.charAt(at) != '.').toArray();
    Set<BigDecimal> exchanged = new LinkedHashSet<>();
    for (int i = 1; i < digits.length; i++) {
      StringBuilder other = new StringBuilder(text);
      other.setCharAt(digits[i - 1], text.charAt(digits[i]));
      other.setCharAt(digits[i], text.charAt(digits[i - 1]));
      exchanged.add(new BigDecimal(other.toString()));
    }
    return exchanged.stream().map(number -> entered.in(number, measurement.unit()));
  }

  /** The candidate that is nearest to what the tool should have; empty where none is plausible. */
  private Optional<MeasurementVerdict> proposed(
      Suspicion suspicion, Stream<BigDecimal> candidates) {
    BigDecimal nominal = measurement.row().nominal().orElse(BigDecimal.ZERO);
    return candidates
        .filter(this::fits)
        .min(Comparator.comparing(candidate -> candidate.subtract(nominal).abs()))
        .map(size ->
            new MeasurementVerdict(
                value,
                Optional.of(suspicion),
                Optional.of(size.setScale(measurement.decimals(), RoundingMode.HALF_UP))));
  }

  private Suspicion ofNeighbour() {
    return measurement.neighbours().stream()
            .filter(neighbour -> neighbour.nominal().isPresent())
            .anyMatch(neighbour -> plausible.holds(neighbour, value))
        ? Suspicion.ROWS_EXCHANGED
        : Suspicion.OUT_OF_TOLERANCE;
  }
}
