package arborline.core.part21;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.quantity.UnitKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** The values of one item: what its readings come to, and where they contradict each other. */
final class ItemValues {

  private static final int LONGEST_KEPT = 2000;
  private static final double SAME = 1e-6;

  private final PropertyDictionary dictionary;
  private final List<Part21Fault> faults;
  final SortedMap<String, BigDecimal> numbers = new TreeMap<>();
  final SortedMap<String, Quantity> authored = new TreeMap<>();
  final SortedMap<String, String> texts = new TreeMap<>();
  final SortedMap<String, List<BigDecimal>> ranges = new TreeMap<>();
  final SortedMap<String, String> kept = new TreeMap<>();
  final SortedMap<String, String> doubtful = new TreeMap<>();

  ItemValues(
      List<PropertyReading> readings, PropertyDictionary dictionary, List<Part21Fault> faults) {
    this.dictionary = dictionary;
    this.faults = faults;
    Map<String, List<PropertyReading>> bySymbol = new LinkedHashMap<>();
    for (PropertyReading reading : readings) {
      Optional<String> symbol = dictionary.symbol(reading.name());
      if (symbol.isPresent()) {
        bySymbol.computeIfAbsent(symbol.get(), name -> new ArrayList<>()).add(reading);
      } else {
        kept.merge(reading.name().strip(), written(reading), ItemValues::both);
      }
    }
    bySymbol.forEach(this::symbol);
  }

  private static String both(String one, String other) {
    return one.length() > LONGEST_KEPT ? one : "%s; %s".formatted(one, other);
  }

  /** Notes that a property is named and its value is nowhere. */
  void missing(String name) {
    dictionary
        .symbol(name)
        .filter(symbol -> !numbers.containsKey(symbol) && !texts.containsKey(symbol))
        .ifPresent(symbol -> doubtful.putIfAbsent(symbol, "its value is missing"));
  }

  private static String written(PropertyReading reading) {
    return reading
        .number()
        .map(number ->
            number.toPlainString()
                + reading.unit().map(unit -> " " + unit.unit().code()).orElse(""))
        .orElse(reading.text());
  }

  private void symbol(String symbol, List<PropertyReading> readings) {
    Optional<Unit> unit = unit(symbol);
    if (unit.isEmpty()) {
      text(symbol, readings);
      return;
    }
    List<PropertyReading> nominal = new ArrayList<>();
    Map<String, PropertyReading> limits = new TreeMap<>();
    for (PropertyReading reading : readings) {
      PropertyReading number = number(reading);
      if (number.limit().isEmpty()) {
        nominal.add(number);
      } else {
        limits.putIfAbsent(number.limit(), number);
      }
    }
    if (!nominal.isEmpty()) {
      value(symbol, unit.get(), nominal)
          .ifPresent(size -> put(symbol, unit.get(), size, nominal.getFirst()));
    } else if (known(symbol + "N") && known(symbol + "X")) {
      limit(symbol + "N", unit.get(), limits.get("MIN"));
      limit(symbol + "X", unit.get(), limits.get("MAX"));
    } else if (limits.size() == 2) {
      Optional<BigDecimal> least = in(symbol, unit.get(), limits.get("MIN"));
      Optional<BigDecimal> most = in(symbol, unit.get(), limits.get("MAX"));
      if (least.isPresent() && most.isPresent()) {
        ranges.put(symbol, List.of(least.get(), most.get()));
        doubtful.put(symbol, "a range, %s to %s, not one size".formatted(least.get(), most.get()));
      }
    }
  }

  /** The unit of a symbol, also of a step's; nothing for a text. */
  static Optional<Unit> unit(String symbol) {
    return Dictionary.standard()
        .find(symbol)
        .or(() -> Dictionary.standard().find(PropertyReadings.stepless(symbol)))
        .flatMap(Property::unit);
  }

  private static boolean known(String symbol) {
    return Dictionary.standard().find(symbol).isPresent();
  }

  /** A number that is written as a text is one. */
  private static PropertyReading number(PropertyReading reading) {
    return reading.number().isPresent()
        ? reading
        : Literals.number(reading.text().strip())
            .map(size ->
                PropertyReading.number(
                    reading.line(), reading.name(), size, reading.unit(), reading.limit()))
            .orElse(reading);
  }

  private void limit(String symbol, Unit unit, PropertyReading reading) {
    if (reading != null) {
      in(symbol, unit, reading).ifPresent(size -> put(symbol, unit, size, reading));
    }
  }

  private void put(String symbol, Unit unit, BigDecimal size, PropertyReading reading) {
    numbers.put(symbol, size);
    Optional<Quantity> written =
        reading
            .unit()
            .filter(one -> one.unit().convertsTo(unit))
            .flatMap(
                one -> reading.number().map(number -> quantity(one.amount(number), one.unit())));
    authored.put(symbol, written.orElseGet(() -> quantity(size, unit)));
  }

  private static Quantity quantity(BigDecimal size, Unit unit) {
    return new Quantity(size.toPlainString(), size, unit);
  }

  private Optional<BigDecimal> value(String symbol, Unit unit, List<PropertyReading> readings) {
    Optional<BigDecimal> first = Optional.empty();
    for (PropertyReading reading : readings) {
      Optional<BigDecimal> size = in(symbol, unit, reading);
      if (first.isPresent() && size.isPresent() && !same(first.get(), size.get())) {
        contradicts(symbol, reading, first.get().toPlainString(), size.get().toPlainString());
        return Optional.empty();
      }
      first = first.or(() -> size);
    }
    return first;
  }

  private static boolean same(BigDecimal one, BigDecimal other) {
    double difference = one.subtract(other).abs().doubleValue();
    return difference <= SAME * Math.max(1, one.abs().doubleValue());
  }

  private void contradicts(String symbol, PropertyReading second, String one, String other) {
    faults.add(
        new Part21Fault(
            second.line(),
            Part21Fault.CONTRADICTING_VALUES,
            "%s is %s and %s".formatted(symbol, one, other)));
    doubtful.put(symbol, "%s and %s".formatted(one, other));
  }

  /** A size in the unit of its symbol; what has none, or one of another kind, is asked about. */
  private Optional<BigDecimal> in(String symbol, Unit unit, PropertyReading reading) {
    if (reading.number().isEmpty()) {
      doubtful.put(symbol, "'%s' is no number".formatted(reading.text()));
      return Optional.empty();
    }
    boolean needsNone = unit.kind() == UnitKind.COUNT || unit.kind() == UnitKind.ROTATION;
    if (reading.unit().isEmpty() && needsNone) {
      return reading.number();
    }
    if (reading.unit().isEmpty()) {
      if (unit.kind() == UnitKind.LENGTH || unit.kind() == UnitKind.ANGLE) {
        faults.add(
            new Part21Fault(
                reading.line(),
                Part21Fault.MISSING_UNIT,
                "%s %s has no unit".formatted(symbol, reading.number().get().toPlainString())));
      }
      doubtful.put(symbol, reading.number().get().toPlainString() + " without a unit");
      return Optional.empty();
    }
    Optional<BigDecimal> size = reading.in(unit);
    if (size.isEmpty() && needsNone) {
      return reading.number();
    }
    if (size.isEmpty()) {
      doubtful.put(symbol, "%s does not measure it".formatted(reading.unit().get().unit().code()));
    }
    return size;
  }

  private void text(String symbol, List<PropertyReading> readings) {
    String first = null;
    for (PropertyReading reading : readings) {
      String text = symbol.equals("HAND") ? hand(written(reading)) : written(reading).strip();
      if (first != null && !first.equals(text)) {
        contradicts(symbol, reading, first, text);
        return;
      }
      first = text;
    }
    if (first != null && !first.isEmpty()) {
      texts.put(symbol, first);
    }
  }

  private static String hand(String word) {
    return switch (word.strip().toUpperCase(Locale.ROOT)) {
      case "RIGHT" -> "R";
      case "LEFT" -> "L";
      case "NEUTRAL" -> "N";
      default -> word.strip();
    };
  }
}
