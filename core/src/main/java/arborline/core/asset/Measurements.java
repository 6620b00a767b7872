package arborline.core.asset;

import arborline.core.asset.AssetDocument.Limits;
import arborline.core.asset.AssetDocument.Sizes;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Reads the measurements of a tool or of a cutting item. */
final class Measurements {

  private static final Map<String, String> SYMBOLS = symbols();

  /** The shortest name of each symbol. */
  private static final Map<String, String> ELEMENTS =
      SYMBOLS.entrySet().stream()
          .collect(
              Collectors.toMap(
                  Map.Entry::getValue,
                  Map.Entry::getKey,
                  (one, other) ->
                      Comparator.comparing(String::length)
                                  .thenComparing(Comparator.naturalOrder())
                                  .compare(one, other)
                              <= 0
                          ? one
                          : other));

  private static final Pattern STEP = Pattern.compile("(DC|SDL|STA)[xX]?(\\d*)");
  private static final BigDecimal INCH = new BigDecimal("25.4");
  private static final BigDecimal THOUSANDTH = new BigDecimal("0.001");

  /** Factors to mm, degrees or kg, by unit and kind of property. */
  private static final Map<String, Map<Unit, BigDecimal>> FACTORS =
      Map.ofEntries(
          Map.entry("MILLIMETER", Map.of(Unit.MILLIMETRE, BigDecimal.ONE)),
          Map.entry("MILLIMETRE", Map.of(Unit.MILLIMETRE, BigDecimal.ONE)),
          Map.entry("INCH", Map.of(Unit.MILLIMETRE, INCH)),
          Map.entry("METER", Map.of(Unit.MILLIMETRE, BigDecimal.valueOf(1000))),
          Map.entry("CENTIMETER", Map.of(Unit.MILLIMETRE, BigDecimal.TEN)),
          Map.entry("MICROMETER", Map.of(Unit.MILLIMETRE, THOUSANDTH)),
          Map.entry("MICRON", Map.of(Unit.MILLIMETRE, THOUSANDTH)),
          Map.entry("DEGREE", Map.of(Unit.DEGREE, BigDecimal.ONE)),
          Map.entry("GRAM", Map.of(Unit.KILOGRAM, THOUSANDTH)),
          Map.entry("KILOGRAM", Map.of(Unit.KILOGRAM, BigDecimal.ONE)));

  private final String asset;
  private final AssetFaults faults;
  private final Sizes sizes = new Sizes(new TreeMap<>(), new TreeMap<>(), new TreeMap<>());

  private Measurements(String asset, AssetFaults faults) {
    this.asset = asset;
    this.faults = faults;
  }

  private static Map<String, String> symbols() {
    Map<String, String> symbols = new HashMap<>();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                Measurements.class.getResourceAsStream("measurements.tsv"),
                StandardCharsets.UTF_8))) {
      lines
          .lines()
          .skip(1)
          .map(line -> line.split("\t"))
          .forEach(cells -> symbols.put(cells[0], cells[1]));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
    return symbols;
  }

  /** What the standard calls the measurement of a symbol of a tool; nothing where it has none. */
  static Optional<String> element(String symbol) {
    return Optional.ofNullable(ELEMENTS.get(symbol));
  }

  /** Reads all of an element that holds them. */
  static Sizes of(XmlElement holder, String asset, Predicate<XmlElement> own, AssetFaults faults) {
    Measurements reading = new Measurements(asset, faults);
    holder
        .children("Measurements", own)
        .flatMap(all -> all.children().stream())
        .filter(own)
        .forEach(reading::read);
    return reading.sizes;
  }

  private void read(XmlElement element) {
    Optional<String> symbol = symbol(element);
    if (symbol.isEmpty()) {
      return;
    }
    Optional<BigDecimal> factor = factor(element, symbol.get());
    if (factor.isEmpty()) {
      return;
    }
    Optional<BigDecimal> nominal = number(element, "nominal", factor.get());
    Optional<BigDecimal> minimum = number(element, "minimum", factor.get());
    Optional<BigDecimal> maximum = number(element, "maximum", factor.get());
    Optional<BigDecimal> measured =
        element
            .text()
            .flatMap(text -> faults.number(element, asset, text))
            .map(factor.get()::multiply);
    nominal.ifPresent(value -> sizes.values().putIfAbsent(symbol.get(), plain(value)));
    measured.ifPresent(value -> sizes.measured().putIfAbsent(symbol.get(), plain(value)));
    if (minimum.isPresent() || maximum.isPresent()) {
      sizes
          .limits()
          .putIfAbsent(
              symbol.get(),
              new Limits(minimum.map(Measurements::plain), maximum.map(Measurements::plain)));
    }
    outside(element, measured, minimum, maximum);
  }

  private void outside(
      XmlElement element,
      Optional<BigDecimal> measured,
      Optional<BigDecimal> minimum,
      Optional<BigDecimal> maximum) {
    boolean below =
        measured.isPresent()
            && minimum.filter(least -> measured.get().compareTo(least) < 0).isPresent();
    boolean above =
        measured.isPresent()
            && maximum.filter(most -> measured.get().compareTo(most) > 0).isPresent();
    if (below || above) {
      faults.add(
          element,
          "outside-limits",
          asset,
          "%s measured %s is %s"
              .formatted(
                  element.name(),
                  plain(measured.get()).toPlainString(),
                  below
                      ? "below " + plain(minimum.get()).toPlainString()
                      : "above " + plain(maximum.get()).toPlainString()));
    }
  }

  private Optional<BigDecimal> number(XmlElement element, String attribute, BigDecimal factor) {
    return element
        .attribute(attribute)
        .flatMap(text -> faults.number(element, asset, text))
        .map(factor::multiply);
  }

  private static BigDecimal plain(BigDecimal number) {
    return number.signum() == 0 ? BigDecimal.ZERO : number.stripTrailingZeros();
  }

  /** The code, else what the standard calls the element; nothing for what it does not know. */
  private static Optional<String> symbol(XmlElement element) {
    if (element.name().equals("CuttingDiameterMax")) {
      return Optional.of("DCX");
    }
    Optional<String> coded = element.attribute("code").flatMap(Measurements::known);
    return coded.isPresent() ? coded : Optional.ofNullable(SYMBOLS.get(element.name()));
  }

  private static Optional<String> known(String code) {
    Matcher step = STEP.matcher(code);
    if (step.matches()) {
      return Optional.of(step.group(1) + step.group(2));
    }
    return Dictionary.standard().find(code).filter(Property::numeric).map(Property::symbol);
  }

  private static Unit unit(String symbol) {
    String base = symbol.replaceAll("(?<=DC|SDL|STA)\\d+$", "");
    return Dictionary.standard().find(base).flatMap(Property::unit).orElse(Unit.MILLIMETRE);
  }

  private Optional<BigDecimal> factor(XmlElement element, String symbol) {
    Unit kind = unit(symbol);
    Optional<String> units = element.attribute("units");
    if (units.isEmpty()) {
      return unstated(element, symbol, kind);
    }
    Optional<BigDecimal> factor =
        Optional.ofNullable(FACTORS.get(units.get())).map(kinds -> kinds.get(kind));
    boolean counted = kind == Unit.ONE && units.get().equals("COUNT");
    if (factor.isEmpty() && !counted) {
      faults.add(
          element,
          "unknown-unit",
          asset,
          "%s is in '%s', which does not measure it".formatted(element.name(), units.get()));
    }
    return counted ? Optional.of(BigDecimal.ONE) : factor;
  }

  /**
   * Without units a length is in mm and an angle in degrees; what is meant of the rest is asked.
   */
  private Optional<BigDecimal> unstated(XmlElement element, String symbol, Unit kind) {
    boolean nativeOnly = element.attribute("nativeUnits").isPresent();
    if (nativeOnly || kind == Unit.KILOGRAM) {
      faults.doubt(
          asset,
          "%s has no units%s".formatted(element.name(), nativeOnly ? ", only nativeUnits" : ""),
          symbol);
      return Optional.empty();
    }
    return Optional.of(BigDecimal.ONE);
  }
}
