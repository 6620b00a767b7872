package arborline.server.explain;

import arborline.core.measure.EnteredBefore;
import arborline.core.measure.MeasuredRow;
import arborline.core.measure.MeasuredSize;
import arborline.core.measure.Measurement;
import arborline.core.measure.SinceMeasured;
import arborline.core.quantity.Unit;
import arborline.server.explain.MeasurementInput.EnteredBeforeInput;
import arborline.server.explain.MeasurementInput.MeasuredRowInput;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads a measurement that somebody wrote down, and says what of it cannot be. */
final class MeasurementInputReader {

  private static final int MOST_ROWS = 1_000;
  private static final int MOST_DECIMALS = 6;
  private static final int LONGEST = 120;
  private static final int FINEST = 12;
  private static final BigDecimal LARGEST = new BigDecimal(100_000_000);

  private MeasurementInputReader() {}

  /**
   * The measurement.
   *
   * @throws Refusal naming the place of what cannot be read
   */
  static Measurement read(MeasurementInput input) {
    Integer decimals = input.decimals();
    if (decimals == null || decimals < 0 || decimals > MOST_DECIMALS) {
      throw Refusal.badRequest("decimals: state 0 to %d".formatted(MOST_DECIMALS));
    }
    List<MeasuredRow> neighbours = new ArrayList<>();
    for (MeasuredRowInput neighbour : few("neighbours", input.neighbours())) {
      neighbours.add(row("neighbours.%d".formatted(neighbours.size()), neighbour));
    }
    List<EnteredBefore> before = new ArrayList<>();
    for (EnteredBeforeInput one : few("before", input.before())) {
      String where = "before.%d".formatted(before.size());
      before.add(
          new EnteredBefore(
              text(where + ".place", one.place()), text(where + ".entered", one.entered())));
    }
    return new Measurement(
        unit(input.unit()),
        decimals,
        size(input.field()),
        row("row", input.row()),
        neighbours,
        before,
        text("entered", input.entered()));
  }

  private static Unit unit(@Nullable String named) {
    return Optional.ofNullable(named)
        .filter(name -> name.equals("mm") || name.equals("in"))
        .flatMap(Unit::named)
        .orElseThrow(() -> Refusal.badRequest("unit: state mm or in"));
  }

  private static MeasuredSize size(@Nullable String named) {
    for (MeasuredSize size : MeasuredSize.values()) {
      if (size.name().toLowerCase(Locale.ROOT).equals(named)) {
        return size;
      }
    }
    throw Refusal.badRequest("field: state length, diameter or radius");
  }

  private static MeasuredRow row(String where, @Nullable MeasuredRowInput row) {
    if (row == null) {
      throw Refusal.badRequest(where + ": state place, tool, nominal, tolerance and last value");
    }
    return new MeasuredRow(
        text(where + ".place", row.place()),
        text(where + ".tool", row.tool()),
        positive(where + ".nominal", row.nominal()),
        positive(where + ".tolerance", row.tolerance()),
        sound(where + ".last", row.last()),
        since(where + ".since", row.since()));
  }

  private static SinceMeasured since(String where, @Nullable String named) {
    return switch (named) {
      case null -> SinceMeasured.NOTHING;
      case "reground" -> SinceMeasured.REGROUND;
      case "stack-changed" -> SinceMeasured.STACK_CHANGED;
      default -> throw Refusal.badRequest(where + ": state reground, stack-changed or null");
    };
  }

  private static String text(String where, @Nullable String text) {
    if (text == null || text.isBlank() || text.length() > LONGEST) {
      throw Refusal.badRequest("%s: write 1 to %d characters".formatted(where, LONGEST));
    }
    return text;
  }

  private static Optional<BigDecimal> positive(String where, @Nullable BigDecimal number) {
    Optional<BigDecimal> sound = sound(where, number);
    if (sound.filter(size -> size.signum() <= 0).isPresent()) {
      throw Refusal.badRequest(where + ": write more than zero, or null");
    }
    return sound;
  }

  private static Optional<BigDecimal> sound(String where, @Nullable BigDecimal number) {
    if (number != null
        && (Math.abs((long) number.scale()) > FINEST || number.abs().compareTo(LARGEST) > 0)) {
      throw Refusal.badRequest(
          "%s: write less than %s, with %d decimals at most"
              .formatted(where, LARGEST.toPlainString(), FINEST));
    }
    return Optional.ofNullable(number);
  }

  private static <T> List<T> few(String where, @Nullable List<T> rows) {
    if (rows != null && rows.size() > MOST_ROWS) {
      throw Refusal.badRequest("%s: %d rows at most".formatted(where, MOST_ROWS));
    }
    return rows == null ? List.of() : rows;
  }
}
