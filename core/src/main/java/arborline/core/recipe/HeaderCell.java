package arborline.core.recipe;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A header cell and what its words say.
 *
 * @param text as written
 * @param words without the unit, as they are compared
 * @param unit that the cell states
 * @param meaning what the words mean; empty where we do not know them
 * @param symbol property that the cell names by its symbol; empty where it names none
 */
record HeaderCell(
    String text,
    String words,
    Optional<Unit> unit,
    Optional<Meaning> meaning,
    Optional<String> symbol) {

  private static final Pattern BRACKETS =
      Pattern.compile("\\s*(.*?)\\s*[\\[(]\\s*([^\\])]{1,12})\\s*[\\])]\\s*");
  private static final Pattern TRAILING =
      Pattern.compile("(?i)(.*\\S)[\\s,/]+(mm|inches|inch|in|zoll|\"|deg|\u00b0|m/min|1/min|sfm)");
  private static final int SHORTEST_SYMBOL = 2;

  static HeaderCell of(String text) {
    String name = text.strip();
    Optional<Unit> unit = Optional.empty();
    for (Pattern form : new Pattern[] {BRACKETS, TRAILING}) {
      Matcher parts = form.matcher(name);
      Optional<Unit> stated = parts.matches() ? unit(parts.group(2)) : Optional.empty();
      boolean whole = HeaderWords.phrase(Words.normal(name)).isPresent();
      if (stated.isPresent() && !whole) {
        name = parts.group(1);
        unit = stated;
        break;
      }
    }
    String words = Words.normal(name);
    Optional<Meaning> meaning = HeaderWords.meaning(words);
    Optional<String> symbol = symbol(name);
    return new HeaderCell(text, words, unit, meaning, symbol);
  }

  private static Optional<String> symbol(String name) {
    String word = name.strip();
    boolean shaped = word.length() >= SHORTEST_SYMBOL && word.matches("[A-Za-z][A-Za-z0-9]*");
    return shaped
        ? Dictionary.standard().find(word.toUpperCase(Locale.ROOT)).map(Property::symbol)
        : Optional.empty();
  }

  private static Optional<Unit> unit(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT);
    return switch (word) {
      case "inches", "zoll", "pouce", "pouces", "pollici", "pulgadas", "\"" ->
          Optional.of(Unit.INCH);
      case "grad", "degrees", "degre" -> Optional.of(Unit.DEGREE);
      default -> Unit.named(word);
    };
  }

  /** True where the words are ones that we know. */
  boolean known() {
    return meaning.isPresent() || symbol.isPresent();
  }
}
