package arborline.core.tool.rule;

import arborline.core.designation.Decoded;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.tool.Completed;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * A designation and the values beside it say the same. What it says, and neither is written nor
 * follows by the class, is offered.
 */
abstract class Contradiction<T> implements Rule {

  private static final BigDecimal TOLERANCE = new BigDecimal("0.05");

  /** Makers build 91 for a nominal 90 degrees, or 62.5 for 63. */
  private static final BigDecimal BUILT = BigDecimal.ONE;

  private final String symbol;
  private final String what;
  private final Function<String, Decoded<T>> reader;
  private final Function<T, Map<String, String>> properties;
  private final List<String> compared;

  Contradiction(
      String symbol,
      String what,
      Function<String, Decoded<T>> reader,
      Function<T, Map<String, String>> properties,
      String... compared) {
    this.symbol = symbol;
    this.what = what;
    this.reader = reader;
    this.properties = properties;
    this.compared = List.of(compared);
  }

  @Override
  public final boolean asWritten() {
    return true;
  }

  @Override
  public final Optional<Finding> check(Tool tool) {
    Optional<String> text = tool.word(symbol);
    if (text.isEmpty()) {
      return Optional.empty();
    }
    Decoded<T> decoded = reader.apply(text.get());
    return decoded.value().isEmpty()
        ? Optional.of(
            Finding.hold(
                what + "-designation",
                "%s designation '%s': %s"
                    .formatted(what, text.get(), decoded.findings().getFirst().message()),
                symbol))
        : compare(tool, text.get(), properties.apply(decoded.value().get()));
  }

  private Optional<Finding> compare(Tool tool, String text, Map<String, String> said) {
    List<String> against = new ArrayList<>();
    TreeMap<String, String> lacking = new TreeMap<>();
    TreeMap<String, String> all = new TreeMap<>();
    Set<String> implied = Completed.of(tool).origins().keySet();
    for (String symbol : compared) {
      if (said.containsKey(symbol)) {
        String entry = entry(symbol, said.get(symbol));
        Value value = tool.values().get(symbol);
        boolean differs = value != null && !same(tool, symbol, said.get(symbol));
        boolean follows = value == null && implied.contains(symbol);
        if (value == null && !follows || differs && value.defaulted()) {
          lacking.put(symbol, entry);
        } else if (differs) {
          against.add(symbol);
          all.put(symbol, entry);
        }
      }
    }
    if (!against.isEmpty()) {
      String first = against.getFirst();
      return Optional.of(
          Finding.hold(
                  what + "-contradicts",
                  "%s %s has %s %s, but %s is given"
                      .formatted(what, text, first, said.get(first), tool.values().get(first)),
                  against.toArray(String[]::new))
              .withRepair(Repair.of(what + "-values", "take the values of the designation", all)));
    }
    return lacking.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Finding.note(
                    what + "-says-more",
                    "%s %s also gives %s"
                        .formatted(what, text, String.join(", ", lacking.keySet())),
                    symbol)
                .withRepair(
                    Repair.of(what + "-fills", "fill in what the designation says", lacking)));
  }

  private static String entry(String symbol, String text) {
    return Dictionary.standard()
        .find(symbol)
        .flatMap(Property::unit)
        .filter(unit -> unit != Unit.ONE)
        .map(unit -> text + " " + unit.code())
        .orElse(text);
  }

  private static boolean same(Tool tool, String symbol, String said) {
    BigDecimal size = tool.size(symbol);
    return size == null
        ? tool.word(symbol).filter(said::equalsIgnoreCase).isPresent()
        : size.subtract(new BigDecimal(said))
                .abs()
                .compareTo(symbol.equals("KAPR") ? BUILT : TOLERANCE)
            <= 0;
  }
}
