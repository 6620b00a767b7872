package arborline.core.property;

import arborline.core.quantity.Unit;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;

/** All properties that the product knows, in the order of the data file. */
public final class Dictionary {

  private static final Dictionary STANDARD = load("dictionary.tsv");

  private final Map<String, Property> bySymbol;

  private Dictionary(Map<String, Property> bySymbol) {
    this.bySymbol = bySymbol;
  }

  public static Dictionary standard() {
    return STANDARD;
  }

  public Collection<Property> all() {
    return bySymbol.values();
  }

  /** Finds a property by its symbol, in any letter case. */
  public Optional<Property> find(String symbol) {
    Property exact = bySymbol.get(symbol);
    return exact != null
        ? Optional.of(exact)
        : Optional.ofNullable(bySymbol.get(symbol.strip().toUpperCase(Locale.ROOT)));
  }

  /** True for a symbol as the standard writes it, in capitals. */
  public boolean has(String symbol) {
    return bySymbol.containsKey(symbol);
  }

  /**
   * A property that must exist.
   *
   * @throws NoSuchElementException where the dictionary lacks it
   */
  public Property get(String symbol) {
    Property exact = bySymbol.get(symbol);
    return exact != null ? exact : found(symbol);
  }

  private Property found(String symbol) {
    return find(symbol)
        .orElseThrow(() -> new NoSuchElementException("no property " + symbol + " in dictionary"));
  }

  private static Dictionary load(String resource) {
    Map<String, Property> properties = new LinkedHashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Dictionary.class.getResourceAsStream(resource), StandardCharsets.UTF_8))) {
      lines
          .lines()
          .skip(1)
          .map(Dictionary::property)
          .forEach(property -> properties.put(property.symbol(), property));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
    return new Dictionary(properties);
  }

  /** A symbol is the very text that it is in code, which is found without comparing texts. */
  private static Property property(String line) {
    String[] cells = line.split("\t");
    Optional<Unit> unit =
        cells[1].equals("text")
            ? Optional.empty()
            : Optional.of(Unit.named(cells[1]).orElseThrow());
    return new Property(cells[0].intern(), unit, cells[2], cells[3], cells[4]);
  }
}
