package arborline.server.delivery;

import arborline.core.exchange.Column;
import arborline.core.exchange.ColumnSample;
import arborline.core.exchange.TableReading;
import arborline.core.quantity.Unit;
import arborline.server.recipe.ColumnDecision;
import java.nio.charset.Charset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * The decisions on how a table is read, with their evidence, as stored and shown.
 *
 * @param unit of lengths that name none; null where every column states its own
 * @param constants what every line gets that says nothing itself, by column
 * @param recipe by which it is read; null without one
 */
public record ReadingView(
    String encoding,
    String encodingEvidence,
    String delimiter,
    String delimiterEvidence,
    String decimal,
    String decimalEvidence,
    @Nullable String unit,
    @Nullable String unitEvidence,
    List<ColumnView> columns,
    @Nullable Map<String, String> constants,
    @Nullable RecipeUsed recipe) {

  /**
   * The recipe that a table is read by.
   *
   * @param missing columns that it decides about and the table does not have
   */
  public record RecipeUsed(long id, String name, int number, List<String> missing) {}

  /**
   * One column.
   *
   * @param symbol empty where the column is not read
   * @param decision what somebody decided about it, here or in the recipe; null where nobody did
   * @param samples some of its cells
   * @param guess a property that its cells look like; null where the header says what it is
   * @param guessEvidence why they look like it
   */
  public record ColumnView(
      String header,
      String symbol,
      @Nullable String unit,
      String evidence,
      @Nullable ColumnDecision decision,
      @Nullable List<String> samples,
      @Nullable String guess,
      @Nullable String guessEvidence) {

    static ColumnView of(Column column) {
      return new ColumnView(
          column.header(),
          column.symbol(),
          column.unit().map(Unit::code).orElse(null),
          column.evidence(),
          TableReading.decided(column.evidence()) ? ColumnDecision.of(column) : null,
          column.sample().cells(),
          column.sample().guess().orElse(null),
          column.sample().why());
    }

    Column column() {
      Column plain =
          new Column(header, symbol, Optional.ofNullable(unit).flatMap(Unit::named), evidence);
      ColumnSample sample =
          new ColumnSample(
              samples == null ? List.of() : samples,
              Optional.ofNullable(guess),
              guessEvidence == null ? "" : guessEvidence);
      return decision == null
          ? plain.with(sample)
          : plain.with(sample).with(decision.column(header, sample, evidence).adjustment());
    }
  }

  public static ReadingView of(TableReading reading) {
    return of(reading, null);
  }

  public static ReadingView of(TableReading reading, @Nullable RecipeUsed recipe) {
    return new ReadingView(
        reading.charset().name(),
        reading.charsetEvidence(),
        Character.toString(reading.delimiter()),
        reading.delimiterEvidence(),
        Character.toString(reading.decimal()),
        reading.decimalEvidence(),
        reading.unit().map(Unit::code).orElse(null),
        reading.unitEvidence(),
        reading.columns().stream().map(ColumnView::of).toList(),
        reading.constants(),
        recipe);
  }

  public TableReading reading() {
    return new TableReading(
        Charset.forName(encoding),
        encodingEvidence,
        delimiter.charAt(0),
        delimiterEvidence,
        decimal.charAt(0),
        decimalEvidence,
        Optional.ofNullable(unit).flatMap(Unit::named),
        Optional.ofNullable(unitEvidence).orElse(""),
        columns.stream().map(ColumnView::column).toList(),
        new TreeMap<>(constants == null ? Map.of() : constants));
  }
}
