package arborline.core.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.TableReading;
import arborline.core.quantity.Unit;
import java.nio.charset.Charset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A saved way to read a foreign table: what somebody decided, and the headers by which such a table
 * is known again. What nobody decided is proposed anew from each file.
 *
 * @param name by which people know it
 * @param number counts the times it was saved, from 1
 * @param headers of the table that it was made for
 * @param columns only those that were decided, their headers as {@link ColumnNames} has them
 * @param constants what every line gets where it says nothing itself
 */
public record Recipe(
    String name,
    int number,
    List<String> headers,
    Optional<Charset> charset,
    Optional<Character> delimiter,
    Optional<Character> decimal,
    Optional<Unit> unit,
    List<Column> columns,
    SortedMap<String, String> constants) {

  /** From this share of common headers on a table is of the kind that a recipe is for. */
  private static final double LIKE = 0.75;

  public Recipe {
    headers = List.copyOf(headers);
    columns = List.copyOf(columns);
    constants = Collections.unmodifiableSortedMap(new TreeMap<>(constants));
  }

  /** What was decided about reading a table. */
  public static Recipe of(String name, int number, TableReading reading) {
    List<String> headers = headers(reading);
    return new Recipe(
        name,
        number,
        headers,
        Optional.of(reading.charset()).filter(one -> decided(reading.charsetEvidence())),
        Optional.of(reading.delimiter()).filter(one -> decided(reading.delimiterEvidence())),
        Optional.of(reading.decimal()).filter(one -> decided(reading.decimalEvidence())),
        reading.unit().filter(one -> decided(reading.unitEvidence())),
        decided(reading.columns(), ColumnNames.of(headers)),
        reading.constants());
  }

  private static List<String> headers(TableReading reading) {
    return reading.columns().stream().map(Column::header).toList();
  }

  private static List<Column> decided(List<Column> columns, List<String> names) {
    List<Column> decided = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      if (decided(columns.get(i).evidence())) {
        decided.add(columns.get(i).named(names.get(i)));
      }
    }
    return decided;
  }

  private static boolean decided(String evidence) {
    return TableReading.decided(evidence);
  }

  /** How alike the headers of a table are, from 0 to 1, wherever they stand. */
  public double likeness(List<String> others) {
    Set<String> mine = words(headers);
    Set<String> theirs = words(others);
    Set<String> common = new HashSet<>(mine);
    common.retainAll(theirs);
    Set<String> all = new HashSet<>(mine);
    all.addAll(theirs);
    return all.isEmpty() ? 0 : (double) common.size() / all.size();
  }

  /** True where a table with these headers is read by it without being asked. */
  public boolean fits(List<String> others) {
    return likeness(others) >= LIKE && missing(others).isEmpty();
  }

  private static Set<String> words(List<String> headers) {
    Set<String> words = new HashSet<>();
    headers.stream().map(ColumnNames::compared).filter(word -> !word.isEmpty()).forEach(words::add);
    return words;
  }

  /** Columns that were decided and that a table does not have. */
  public List<String> missing(List<String> others) {
    Set<String> theirs = words(ColumnNames.of(others));
    return columns.stream()
        .map(Column::header)
        .filter(header -> !theirs.contains(ColumnNames.compared(header)))
        .toList();
  }

  /** A proposal with what was decided in it. */
  public TableReading in(TableReading proposed) {
    String why = "%s%s, %d".formatted(TableReading.BY_RECIPE, name, number);
    List<Column> read = new ArrayList<>();
    List<String> names = ColumnNames.of(headers(proposed));
    for (int i = 0; i < names.size(); i++) {
      Column column = proposed.columns().get(i);
      read.add(
          decision(names.get(i))
              .map(mine ->
                  new Column(
                      column.header(),
                      mine.symbol(),
                      mine.unit(),
                      why,
                      mine.adjustment(),
                      column.sample()))
              .orElse(column));
    }
    SortedMap<String, String> all = new TreeMap<>(constants);
    all.putAll(proposed.constants());
    return new TableReading(
        charset.orElse(proposed.charset()),
        charset.isPresent() ? why : proposed.charsetEvidence(),
        delimiter.orElse(proposed.delimiter()),
        delimiter.isPresent() ? why : proposed.delimiterEvidence(),
        decimal.orElse(proposed.decimal()),
        decimal.isPresent() ? why : proposed.decimalEvidence(),
        unit.or(proposed::unit),
        unit.isPresent() ? why : proposed.unitEvidence(),
        read,
        all);
  }

  private Optional<Column> decision(String name) {
    String compared = ColumnNames.compared(name);
    return columns.stream()
        .filter(column -> ColumnNames.compared(column.header()).equals(compared))
        .findFirst();
  }

  /** The name as it is compared: two recipes with one name are versions of one. */
  public static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
