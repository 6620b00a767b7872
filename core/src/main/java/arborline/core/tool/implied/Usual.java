package arborline.core.tool.implied;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Quantity;
import arborline.core.tool.Implication;
import arborline.core.tool.Origin;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * A trade default: what such a tool has unless it says otherwise.
 *
 * @param text decimal text in the property's own unit, or the word
 * @param where tools for which it is usual
 */
public record Usual(String symbol, String text, Predicate<Tool> where) implements Implication {

  public static Usual of(String symbol, String text) {
    return new Usual(symbol, text, tool -> true);
  }

  /** Usual for cutters of some materials only. */
  public static Usual ofSubstrate(String symbol, String text, String... substrates) {
    Set<String> usual = Set.of(substrates);
    return new Usual(
        symbol,
        text,
        tool ->
            tool.word("SUBSTRATE")
                .filter(substrate -> usual.contains(substrate.toUpperCase(Locale.ROOT)))
                .isPresent());
  }

  @Override
  public Origin origin() {
    return Origin.tradeDefault();
  }

  @Override
  public Optional<Value> value(Tool tool) {
    return where.test(tool) ? Optional.of(usual()) : Optional.empty();
  }

  private Value usual() {
    Property property = Dictionary.standard().get(symbol);
    return property
        .unit()
        .<Value>map(unit -> new Value.Measure(Quantity.of(text, unit), true))
        .orElseGet(() -> new Value.Word(text, true));
  }
}
