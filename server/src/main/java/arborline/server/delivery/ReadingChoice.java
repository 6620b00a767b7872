package arborline.server.delivery;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Column;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import arborline.server.support.Refusal;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a person decided about reading a file; what is null stays as proposed.
 *
 * @param unit {@code mm} or {@code in}: of lengths that name none
 * @param columns by position in the header, from 0
 */
record ReadingChoice(
    @Nullable String encoding,
    @Nullable String delimiter,
    @Nullable String decimal,
    @Nullable String unit,
    @Nullable Map<Integer, ColumnChoice> columns) {

  private static final Set<String> IDENTITY =
      Set.of(
          RawItem.CODE, RawItem.NAME, RawItem.CLASS, RawItem.NUMBER, RawItem.SECTION, RawItem.NOTE);

  /**
   * What one column means.
   *
   * @param symbol empty to leave the column unread
   */
  record ColumnChoice(String symbol, @Nullable String unit) {}

  /** The proposal of a reader with these decisions in it. */
  TableReading apply(String format, byte[] head) {
    TableReading proposed = proposed(format, head);
    List<Column> chosen = new ArrayList<>(proposed.columns());
    if (columns != null) {
      columns.forEach((position, choice) ->
          chosen.set(place(position, chosen), column(chosen.get(position), choice)));
    }
    boolean decided = ".".equals(decimal) || ",".equals(decimal);
    return new TableReading(
        proposed.charset(),
        proposed.charsetEvidence(),
        proposed.delimiter(),
        proposed.delimiterEvidence(),
        decided ? decimal.charAt(0) : proposed.decimal(),
        decided ? TableReading.BY_HAND : proposed.decimalEvidence(),
        length(proposed),
        unit == null ? proposed.unitEvidence() : TableReading.BY_HAND,
        chosen);
  }

  private TableReading proposed(String format, byte[] head) {
    Optional<Charset> charset = Optional.ofNullable(encoding).map(ReadingChoice::charset);
    Optional<Character> sign = Optional.ofNullable(delimiter).map(ReadingChoice::delimiter);
    if (format.equals("csv")) {
      return TableReading.propose(head, charset, sign);
    }
    TableReading own = BundleFormats.reader(format).orElseThrow().propose(head);
    return new TableReading(
        charset.orElse(own.charset()),
        charset.isPresent() ? TableReading.BY_HAND : own.charsetEvidence(),
        sign.orElse(own.delimiter()),
        sign.isPresent() ? TableReading.BY_HAND : own.delimiterEvidence(),
        own.decimal(),
        own.decimalEvidence(),
        own.unit(),
        own.unitEvidence(),
        own.columns());
  }

  private Optional<Unit> length(TableReading proposed) {
    if (unit == null) {
      return proposed.unit();
    }
    return Optional.of(
        Unit.named(unit)
            .filter(chosen -> chosen == Unit.MILLIMETRE || chosen == Unit.INCH)
            .orElseThrow(() -> Refusal.badRequest("lengths are in mm or in")));
  }

  private static char delimiter(String text) {
    boolean possible = text.length() == 1 && (text.equals("\t") || text.charAt(0) >= ' ');
    if (!possible || Character.isLetterOrDigit(text.charAt(0)) || text.equals("\"")) {
      throw Refusal.badRequest(
          "cells are parted by one sign such as ; , | or a tab, not by '%s'".formatted(text));
    }
    return text.charAt(0);
  }

  private static int place(int position, List<Column> columns) {
    if (position < 0 || position >= columns.size()) {
      throw Refusal.badRequest("there is no column " + position);
    }
    return position;
  }

  private static Charset charset(String name) {
    try {
      return Charset.forName(name);
    } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
      throw Refusal.badRequest("'%s' is not an encoding; try UTF-8".formatted(name));
    }
  }

  private static Column column(Column proposed, ColumnChoice choice) {
    String symbol = choice.symbol().strip().toUpperCase(Locale.ROOT);
    if (symbol.isEmpty() || IDENTITY.contains(symbol)) {
      return new Column(proposed.header(), symbol, Optional.empty(), TableReading.BY_HAND);
    }
    var property =
        Dictionary.standard()
            .find(symbol)
            .orElseThrow(
                () -> Refusal.badRequest("'%s' is not a symbol that we know".formatted(symbol)));
    Optional<Unit> unit =
        Optional.ofNullable(choice.unit()).flatMap(Unit::named).or(property::unit);
    if (unit.isPresent()
        && property.unit().filter(own -> own.kind() == unit.get().kind()).isEmpty()) {
      throw Refusal.badRequest("%s is not measured in %s".formatted(symbol, unit.get().code()));
    }
    return new Column(proposed.header(), symbol, unit, TableReading.BY_HAND);
  }
}
