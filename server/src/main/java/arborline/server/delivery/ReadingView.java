package arborline.server.delivery;

import arborline.core.exchange.Column;
import arborline.core.exchange.TableReading;
import arborline.core.quantity.Unit;
import java.nio.charset.Charset;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The decisions on how a text table is read, with their evidence, as stored and shown.
 *
 * @param unit of lengths that name none; null where every column states its own
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
    List<ColumnView> columns) {

  /**
   * One column.
   *
   * @param symbol empty where the column is not read
   */
  public record ColumnView(String header, String symbol, @Nullable String unit, String evidence) {

    static ColumnView of(Column column) {
      return new ColumnView(
          column.header(),
          column.symbol(),
          column.unit().map(Unit::code).orElse(null),
          column.evidence());
    }

    Column column() {
      return new Column(header, symbol, Optional.ofNullable(unit).flatMap(Unit::named), evidence);
    }
  }

  public static ReadingView of(TableReading reading) {
    return new ReadingView(
        reading.charset().name(),
        reading.charsetEvidence(),
        Character.toString(reading.delimiter()),
        reading.delimiterEvidence(),
        Character.toString(reading.decimal()),
        reading.decimalEvidence(),
        reading.unit().map(Unit::code).orElse(null),
        reading.unitEvidence(),
        reading.columns().stream().map(ColumnView::of).toList());
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
        columns.stream().map(ColumnView::column).toList());
  }
}
