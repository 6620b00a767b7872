package arborline.server.recipe;

import arborline.core.exchange.Column;
import arborline.core.exchange.ColumnSample;
import arborline.core.exchange.TableReading;
import arborline.core.quantity.Unit;
import arborline.core.recipe.ColumnNames;
import arborline.core.recipe.Recipe;
import arborline.server.support.Refusal;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A recipe as JSON: stored, shown, sent to another shop and brought in from one.
 *
 * @param format always {@code arbor-line-recipe}
 * @param version of this form, 1
 * @param number counts the times the recipe was saved under its name
 * @param headers of the table that it was made for
 * @param encoding null where it is found anew in each file, as are the three below
 * @param columns what was decided, by header
 * @param constants what every line gets that says nothing itself, by column
 */
public record RecipeBody(
    @Nullable String format,
    @Nullable Integer version,
    @Nullable String name,
    @Nullable Integer number,
    @Nullable List<String> headers,
    @Nullable String encoding,
    @Nullable String delimiter,
    @Nullable String decimal,
    @Nullable String unit,
    @Nullable Map<String, ColumnDecision> columns,
    @Nullable Map<String, String> constants) {

  static final String FORMAT = "arbor-line-recipe";
  private static final int VERSION = 1;
  private static final int LONGEST_NAME = 100;
  private static final int MOST_HEADERS = 2000;
  private static final int LONGEST = 200;

  static RecipeBody of(Recipe recipe) {
    Map<String, ColumnDecision> columns = new LinkedHashMap<>();
    recipe
        .columns()
        .forEach(column -> columns.putIfAbsent(column.header(), ColumnDecision.of(column)));
    return new RecipeBody(
        FORMAT,
        VERSION,
        recipe.name(),
        recipe.number(),
        recipe.headers(),
        recipe.charset().map(Charset::name).orElse(null),
        recipe.delimiter().map(String::valueOf).orElse(null),
        recipe.decimal().map(String::valueOf).orElse(null),
        recipe.unit().map(Unit::code).orElse(null),
        columns,
        recipe.constants());
  }

  /**
   * The recipe.
   *
   * @throws Refusal with the place, where something in it cannot be
   */
  Recipe recipe() {
    if (!FORMAT.equals(format) || version == null || version != VERSION) {
      throw Refusal.badRequest(
          "this is no recipe of version %d: its format is '%s'"
              .formatted(VERSION, format == null ? "" : cut(format)));
    }
    String called = checkedName(name);
    List<String> known = headers == null ? List.of() : headers;
    if (known.size() > MOST_HEADERS
        || known.stream().anyMatch(header -> header == null || header.length() > LONGEST)) {
      throw Refusal.badRequest(
          "headers: at most %d of up to %d letters".formatted(MOST_HEADERS, LONGEST));
    }
    return new Recipe(
        called,
        1,
        known,
        Optional.ofNullable(encoding).map(RecipeBody::charset),
        sign("delimiter", delimiter, ",;\t| "),
        sign("decimal", decimal, ".,"),
        length(),
        decided(known),
        checked(constants));
  }

  /** A name that a recipe may have. */
  static String checkedName(@Nullable String name) {
    String plain = name == null ? "" : name.strip();
    if (plain.isEmpty() || plain.length() > LONGEST_NAME) {
      throw Refusal.badRequest("a recipe has a name of up to %d letters".formatted(LONGEST_NAME));
    }
    return plain;
  }

  private static String cut(String text) {
    return text.length() > LONGEST_NAME ? text.substring(0, LONGEST_NAME) : text;
  }

  private static Charset charset(String name) {
    try {
      return Charset.forName(name);
    } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
      throw Refusal.badRequest("encoding: '%s' is none; try UTF-8".formatted(cut(name)));
    }
  }

  private static Optional<Character> sign(String what, @Nullable String text, String possible) {
    if (text == null || text.isEmpty()) {
      return Optional.empty();
    }
    if (text.length() != 1 || possible.indexOf(text.charAt(0)) < 0) {
      throw Refusal.badRequest("%s: '%s' is not possible".formatted(what, cut(text)));
    }
    return Optional.of(text.charAt(0));
  }

  private Optional<Unit> length() {
    return switch (unit == null ? "" : unit) {
      case "" -> Optional.empty();
      case "mm" -> Optional.of(Unit.MILLIMETRE);
      case "in" -> Optional.of(Unit.INCH);
      default -> throw Refusal.badRequest("unit: lengths are in mm or in");
    };
  }

  private List<Column> decided(List<String> known) {
    List<Column> decided = new ArrayList<>();
    if (columns != null && columns.size() <= MOST_HEADERS) {
      columns.forEach((header, decision) -> {
        if (decision == null || header.length() > LONGEST) {
          throw Refusal.badRequest("column %s: nothing is decided".formatted(cut(header)));
        }
        String name =
            header.isBlank() ? ColumnNames.atPlace(Math.max(0, known.indexOf(header))) : header;
        decided.add(decision.column(name, ColumnSample.NONE, TableReading.BY_HAND));
      });
    }
    return decided;
  }

  /** Constants by the symbol of their column. */
  public static TreeMap<String, String> checked(@Nullable Map<String, String> wanted) {
    TreeMap<String, String> known = new TreeMap<>();
    if (wanted == null) {
      return known;
    }
    wanted.forEach((symbol, text) -> {
      if (text == null || text.length() > LONGEST || known.size() > LONGEST) {
        throw Refusal.badRequest(
            "constant %s: a text of up to %d letters".formatted(cut(symbol), LONGEST));
      }
      Column column =
          new ColumnDecision(symbol, null, null, null, null, null)
              .column(symbol, ColumnSample.NONE, TableReading.BY_HAND);
      if (!text.isBlank()) {
        known.put(column.symbol(), text.strip());
      }
    });
    return known;
  }
}
