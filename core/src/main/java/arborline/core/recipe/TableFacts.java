package arborline.core.recipe;

import arborline.core.exchange.TableReading;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What holds for a whole table, with its evidence.
 *
 * @param unit of lengths that name none
 * @param toolClass that titles name; empty where none does
 */
record TableFacts(
    Unit unit, String unitEvidence, char decimal, String decimalEvidence, String toolClass) {

  private static final Pattern INCHES =
      Pattern.compile("(?i)\\b(?:inch(?:es)?|zoll|pouces?|pollici|pulgadas?|imperial)\\b");
  private static final Pattern MILLIMETRES =
      Pattern.compile("(?i)\\b(?:mm|millimet(?:er|re)s?|metric|metrisch)\\b");
  private static final Pattern FRACTION = Pattern.compile("(?:\\d+[\\s-])?\\d{1,2}/\\d{1,2}");
  private static final Pattern POINT = Pattern.compile("[-+]?\\d*\\.\\d+");
  private static final Pattern COMMA = Pattern.compile("[-+]?\\d*,\\d+");
  private static final Pattern EITHER = Pattern.compile("[-+]?[1-9]\\d{0,2}[.,]\\d{3}");
  private static final Set<Meaning> LENGTHS =
      EnumSet.of(
          Meaning.DIAMETER,
          Meaning.DIAMETER_CUTTING,
          Meaning.LENGTH_CUTTING,
          Meaning.LENGTH_FLUTE,
          Meaning.LENGTH_OVERALL,
          Meaning.LENGTH_USABLE,
          Meaning.SHANK);

  /** No solid tool of a shop is shorter; in inches none is longer. */
  private static final BigDecimal SHORTEST = BigDecimal.valueOf(16);

  /**
   * Finds them.
   *
   * @param titles texts outside of the table itself
   * @param columns of the first header
   * @param rows of data below it
   */
  static TableFacts of(List<String> titles, List<ColumnRole> columns, List<SourceRow> rows) {
    long points = count(rows, POINT);
    long commas = count(rows, COMMA);
    char decimal = commas > points ? ',' : '.';
    String toolClass =
        titles.stream()
            .map(ClassWords::find)
            .flatMap(Optional::stream)
            .map(ClassWords.Named::toolClass)
            .findFirst()
            .orElse("");
    String why = "%d cells like 1.5, %d like 1,5 in the first rows".formatted(points, commas);
    String said = String.join(" ", titles);
    if (INCHES.matcher(said).find()) {
      return new TableFacts(Unit.INCH, "a title says inches", decimal, why, toolClass);
    }
    if (MILLIMETRES.matcher(said).find()) {
      return new TableFacts(Unit.MILLIMETRE, "a title says millimetres", decimal, why, toolClass);
    }
    return bySizes(columns, rows, decimal, why, toolClass);
  }

  /** The same with a decimal point, which numbers of a workbook always have. */
  TableFacts withPoint() {
    return new TableFacts(unit, unitEvidence, '.', "numbers of a workbook are kept so", toolClass);
  }

  /** The same with what somebody decided. */
  TableFacts decided(TableReading reading) {
    boolean sign = TableReading.decided(reading.decimalEvidence());
    boolean length = TableReading.decided(reading.unitEvidence());
    return new TableFacts(
        length ? reading.unit().orElse(unit) : unit,
        length ? reading.unitEvidence() : unitEvidence,
        sign ? reading.decimal() : decimal,
        sign ? reading.decimalEvidence() : decimalEvidence,
        toolClass);
  }

  private static TableFacts bySizes(
      List<ColumnRole> columns, List<SourceRow> rows, char decimal, String why, String toolClass) {
    List<String> sizes = cells(columns, rows, LENGTHS);
    long fractions = sizes.stream().filter(cell -> FRACTION.matcher(cell).matches()).count();
    if (fractions * 5 > sizes.size()) {
      return new TableFacts(
          Unit.INCH,
          "%d of %d lengths are fractions".formatted(fractions, sizes.size()),
          decimal,
          why,
          toolClass);
    }
    List<BigDecimal> overall =
        numbers(cells(columns, rows, EnumSet.of(Meaning.LENGTH_OVERALL)), decimal);
    if (overall.size() > 2 && median(overall).compareTo(SHORTEST) < 0) {
      return new TableFacts(
          Unit.INCH,
          "overall lengths around %s are none in mm".formatted(median(overall)),
          decimal,
          why,
          toolClass);
    }
    return new TableFacts(
        Unit.MILLIMETRE,
        overall.isEmpty()
            ? "no unit is named: millimetres are usual"
            : "no unit is named; overall lengths around %s are usual in mm"
                .formatted(median(overall)),
        decimal,
        why,
        toolClass);
  }

  private static List<String> cells(
      List<ColumnRole> columns, List<SourceRow> rows, Set<Meaning> meanings) {
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      boolean open = columns.get(i).unit().isEmpty();
      boolean overall = columns.get(i).symbol().filter("OAL"::equals).isPresent();
      if (open
          && (meanings.contains(columns.get(i).meaning())
              || overall && meanings.contains(Meaning.LENGTH_OVERALL))) {
        for (SourceRow row : rows) {
          if (!row.cell(i).isEmpty()) {
            cells.add(row.cell(i));
          }
        }
      }
    }
    return cells;
  }

  private static List<BigDecimal> numbers(List<String> cells, char decimal) {
    Pattern sign = decimal == ',' ? COMMA : POINT;
    return cells.stream()
        .filter(
            cell -> cell.matches("\\d{1,9}") || sign.matcher(cell).matches() && cell.length() < 20)
        .map(cell -> new BigDecimal(cell.replace(',', '.')))
        .sorted()
        .toList();
  }

  private static BigDecimal median(List<BigDecimal> sorted) {
    return sorted.get(sorted.size() / 2);
  }

  private static long count(List<SourceRow> rows, Pattern pattern) {
    return rows.stream()
        .flatMap(row -> row.cells().stream())
        .map(cell -> cell.replaceAll("[\u20ac$\u00a3\\s]", ""))
        .filter(cell -> pattern.matcher(cell).matches() && !EITHER.matcher(cell).matches())
        .count();
  }
}
