package arborline.core.part21;

import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Items of a list of contents, which a vendor shows before the files are fetched, as the items that
 * their property files will be.
 */
public final class ListedItems {

  private static final String MACHINE_SIDE = "CCMS";
  private static final String WORK_SIDE = "CCWS";

  private ListedItems() {}

  /**
   * A property in a list.
   *
   * @param name symbol, or what the vendor calls it
   * @param unit code; empty for a text or a count
   */
  public record Listed(String name, String value, String unit) {}

  /**
   * An item.
   *
   * @param what it is, in the words of the vendor
   */
  public static RawItem item(String id, String what, String name, List<Listed> properties) {
    Optional<ItemKinds.Named> named = ItemKinds.of(what);
    SortedMap<String, BigDecimal> values = new TreeMap<>();
    SortedMap<String, Quantity> authored = new TreeMap<>();
    SortedMap<String, String> texts = new TreeMap<>();
    SortedMap<String, String> kept = new TreeMap<>();
    SortedMap<String, String> sides = new TreeMap<>();
    for (Listed property : properties) {
      Optional<String> symbol = PropertyDictionary.NONE.symbol(property.name());
      Optional<Quantity> size = symbol.flatMap(known -> size(known, property));
      if (property.name().equals(MACHINE_SIDE) || property.name().equals(WORK_SIDE)) {
        sides.put(property.name(), property.value());
      } else if (size.isPresent()) {
        authored.put(symbol.get(), size.get());
        values.put(symbol.get(), size.get().amount());
      } else if (symbol.isPresent()) {
        texts.put(symbol.get(), property.value());
      } else {
        kept.put(property.name(), property.value());
      }
    }
    return VendorProperties.alone(
        new ExchangedItem(
            1,
            id,
            named.map(ItemKinds.Named::kind).orElse(ItemKind.CUTTER),
            named.flatMap(ItemKinds.Named::classId),
            name,
            new TreeMap<>(),
            values,
            authored,
            texts,
            new TreeMap<>(),
            sides.getOrDefault(MACHINE_SIDE, ""),
            sides.getOrDefault(WORK_SIDE, ""),
            List.of(),
            List.of(),
            kept,
            new TreeMap<>()),
        List.of());
  }

  private static Optional<Quantity> size(String symbol, Listed property) {
    Optional<Property> known =
        Dictionary.standard()
            .find(symbol.replaceFirst("\\d+$", ""))
            .or(() -> Dictionary.standard().find(symbol));
    if (known.filter(Property::numeric).isEmpty()) {
      return Optional.empty();
    }
    Unit unit = Unit.named(property.unit()).orElseGet(() -> known.get().unit().orElse(Unit.ONE));
    return EntryParser.parse(property.value(), unit) instanceof Entry.Understood understood
        ? Optional.of(understood.quantity())
        : Optional.empty();
  }
}
