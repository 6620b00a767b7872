package arborline.core.recipe;

import arborline.core.exchange.Cell;
import arborline.core.exchange.DecimalSign;
import arborline.core.finding.Finding;
import arborline.core.quantity.Unit;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Sizes as people write them in cells: {@code 1-3/8}, {@code ,5}, {@code .201}, {@code 10 h6},
 * {@code #7}, {@code 60 thou}.
 */
final class SizeText {

  private static final Set<String> NOTHING =
      Set.of("-", "--", "\u2013", "\u2014", "n/a", "na", "k.a.", "?");
  private static final Pattern FITTED =
      Pattern.compile("(.*\\d)\\s+([a-zA-Z]{1,2}\\d{1,2})|(\\d+(?:[.,]\\d+)?)([hHjkmgfe]\\d{1,2})");
  private static final Pattern FRACTION =
      Pattern.compile("[\u00d8\u2300\u00f8]?\\s*(?:\\d+[\\s-]+)?\\d+/\\d+");
  private static final Pattern DEGREES = Pattern.compile("\\s*(?:\u00b0|\u00ba)\\s*$");

  private static final Set<Unit> LENGTHS = Set.of(Unit.MILLIMETRE, Unit.INCH);
  private static final Pattern STATED = Pattern.compile("(?i)(.*\\d)\\s*(mm|inch|in|\"|thou)\\.?");

  private SizeText() {}

  /**
   * A size that was read.
   *
   * @param cell the number with its unit, as the entry parser reads it
   * @param tolerance class of tolerance behind it; empty without one
   */
  record Read(Cell cell, Optional<String> tolerance, Optional<Finding> finding) {}

  /** True for a cell that says nothing. */
  static boolean open(String text) {
    String plain = text.strip();
    return plain.isEmpty() || NOTHING.contains(plain.toLowerCase(Locale.ROOT));
  }

  /**
   * Reads a cell of a column of numbers; nothing where it is left open.
   *
   * @param assumed unit of a number that names none and is no fraction
   * @param decimal point or comma
   * @param gauge true where a number or letter drill can stand
   */
  static Optional<Read> read(
      String text, Optional<Unit> assumed, char decimal, boolean gauge, String symbol) {
    Optional<Unit> unit = assumed;
    String plain = text.strip();
    if (open(plain)) {
      return Optional.empty();
    }
    Optional<String> wire = gauge ? WireSizes.inches(plain) : Optional.empty();
    if (wire.isPresent()) {
      return Optional.of(
          new Read(Cell.of(wire.get(), Unit.INCH), Optional.empty(), Optional.empty()));
    }
    Matcher fitted = FITTED.matcher(plain);
    Optional<String> tolerance = Optional.empty();
    if (fitted.matches()) {
      boolean apart = fitted.group(1) != null;
      plain = apart ? fitted.group(1) : fitted.group(3);
      tolerance = Optional.of(apart ? fitted.group(2) : fitted.group(4));
    }
    String number = DEGREES.matcher(plain).replaceFirst("");
    Matcher stated = STATED.matcher(number);
    if (stated.matches() && unit.isPresent()) {
      number = stated.group(1);
      unit = Unit.named(stated.group(2));
    }
    boolean length = unit.stream().anyMatch(LENGTHS::contains);
    if (length && FRACTION.matcher(number).matches()) {
      return Optional.of(new Read(Cell.of(number, Unit.INCH), tolerance, Optional.empty()));
    }
    DecimalSign.Read signed = DecimalSign.read(number, decimal, symbol);
    return Optional.of(new Read(new Cell(signed.text(), unit, false), tolerance, signed.finding()));
  }
}
