package arborline.core.tool.implied;

import arborline.core.designation.InsertProperties;
import arborline.core.designation.InsertReader;
import arborline.core.designation.ShankProperties;
import arborline.core.designation.ShankReader;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Quantity;
import arborline.core.tool.Implication;
import arborline.core.tool.Origin;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A value that a designation spells.
 *
 * @param symbol of the value
 * @param designation symbol of the designation
 * @param reader what a designation says, by symbol; empty where it cannot be read
 */
public record Designated(
    String symbol, String designation, Function<String, Map<String, String>> reader)
    implements Implication {

  /** What an insert designation says. Source: ISO 1832. */
  public static Implication[] byInsert(String... symbols) {
    return Stream.of(symbols)
        .map(symbol -> new Designated(symbol, "MIID", Designated::insert))
        .toArray(Implication[]::new);
  }

  /** What the designation of a holder or bar says. Source: ISO 5608 and ISO 6261. */
  public static Implication[] byShank(String... symbols) {
    return Stream.of(symbols)
        .map(symbol -> new Designated(symbol, "SHANK", Designated::shank))
        .toArray(Implication[]::new);
  }

  private static Map<String, String> insert(String text) {
    return InsertReader.read(text).value().map(InsertProperties::of).orElse(Map.of());
  }

  private static Map<String, String> shank(String text) {
    return ShankReader.read(text).value().map(ShankProperties::of).orElse(Map.of());
  }

  @Override
  public Origin origin() {
    return Origin.designation(designation);
  }

  @Override
  public Optional<Value> value(Tool tool) {
    return tool.word(designation)
        .map(reader)
        .flatMap(read -> Optional.ofNullable(read.get(symbol)))
        .map(this::value);
  }

  private Value value(String text) {
    Property property = Dictionary.standard().get(symbol);
    return property
        .unit()
        .<Value>map(unit -> new Value.Measure(Quantity.of(text, unit), false))
        .orElseGet(() -> new Value.Word(text, false));
  }
}
