package arborline.server.delivery;

import arborline.core.exchange.Column;
import arborline.core.exchange.TableReading;
import arborline.core.quantity.Unit;
import arborline.server.recipe.ColumnDecision;
import arborline.server.recipe.RecipeBody;
import arborline.server.support.Refusal;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What a person decided about reading a file; what is null stays as proposed.
 *
 * @param unit {@code mm} or {@code in}: of lengths that name none
 * @param columns by position in the header, from 0
 * @param constants what every line gets that says nothing itself, by column
 * @param recipe number or name of a recipe to begin with; empty for none, null for the one that
 *     fits
 */
record ReadingChoice(
    @Nullable String encoding,
    @Nullable String delimiter,
    @Nullable String decimal,
    @Nullable String unit,
    @Nullable Map<Integer, ColumnDecision> columns,
    @Nullable Map<String, String> constants,
    @Nullable String recipe) {

  Optional<Charset> charset() {
    return Optional.ofNullable(encoding).map(ReadingChoice::charset);
  }

  Optional<Character> sign() {
    return Optional.ofNullable(delimiter).map(ReadingChoice::delimiter);
  }

  /** A proposal with these decisions in it. */
  TableReading in(TableReading proposed) {
    List<Column> chosen = new ArrayList<>(proposed.columns());
    if (columns != null) {
      columns.forEach((position, decision) -> {
        Column column = chosen.get(place(position, chosen));
        if (decision == null) {
          throw Refusal.badRequest("column %s: nothing is decided".formatted(column.header()));
        }
        chosen.set(
            position, decision.column(column.header(), column.sample(), TableReading.BY_HAND));
      });
    }
    boolean decided = ".".equals(decimal) || ",".equals(decimal);
    return new TableReading(
        charset().orElse(proposed.charset()),
        encoding == null ? proposed.charsetEvidence() : TableReading.BY_HAND,
        sign().orElse(proposed.delimiter()),
        delimiter == null ? proposed.delimiterEvidence() : TableReading.BY_HAND,
        decided ? decimal.charAt(0) : proposed.decimal(),
        decided ? TableReading.BY_HAND : proposed.decimalEvidence(),
        length(proposed),
        unit == null ? proposed.unitEvidence() : TableReading.BY_HAND,
        chosen,
        constants == null ? proposed.constants() : RecipeBody.checked(constants));
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

  private static int place(@Nullable Integer position, List<Column> columns) {
    if (position == null || position < 0 || position >= columns.size()) {
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
}
