package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How one column of a table is read.
 *
 * @param header the header cell as written
 * @param symbol property symbol or identity column; empty where the column is not read
 * @param unit unit of the values, where they are numbers
 * @param evidence why it is read so
 */
public record Column(String header, String symbol, Optional<Unit> unit, String evidence) {

  private static final Pattern HEADER =
      Pattern.compile("\\s*([^\\[(]*?)\\s*(?:[\\[(]\\s*([^\\])]*?)\\s*[\\])])?\\s*");
  private static final int LONGEST = 200;
  private static final Map<String, String> IDENTITY =
      Map.of(
          "CODE", RawTool.CODE,
          "NAME", RawTool.NAME,
          "DESCRIPTION", RawTool.NAME,
          "CLASS", RawTool.CLASS,
          "NUMBER", RawTool.NUMBER);

  /** Decides from the header cell alone. */
  public static Column of(String header) {
    if (header.length() > LONGEST) {
      return new Column(
          header.substring(0, LONGEST),
          "",
          Optional.empty(),
          "the header cell has %d characters; not read".formatted(header.length()));
    }
    Matcher parts = HEADER.matcher(header);
    String name = parts.matches() ? parts.group(1) : header.strip();
    String unitText = parts.matches() ? parts.group(2) : null;
    String identity = IDENTITY.get(name.toUpperCase(Locale.ROOT));
    if (identity != null) {
      return new Column(header, identity, Optional.empty(), "header says so");
    }
    return Dictionary.standard()
        .find(name)
        .map(property -> property(header, property, unitText))
        .orElseGet(() ->
            new Column(
                header,
                "",
                Optional.empty(),
                name.isEmpty()
                    ? "the header cell is empty; not read"
                    : "'%s' is not a symbol that we know; not read".formatted(name)));
  }

  private static Column property(String header, Property property, String unitText) {
    if (!property.numeric()) {
      return new Column(header, property.symbol(), Optional.empty(), "symbol in the header");
    }
    Unit canonical = property.unit().orElseThrow();
    if (unitText == null) {
      return new Column(
          header,
          property.symbol(),
          Optional.of(canonical),
          "symbol in the header, no unit: taken as " + canonical.code());
    }
    Optional<Unit> unit = Unit.named(unitText).filter(property::accepts);
    return unit.isPresent()
        ? new Column(header, property.symbol(), unit, "symbol and unit in the header")
        : new Column(
            header,
            property.symbol(),
            Optional.of(canonical),
            "'%s' is no unit for it: taken as %s".formatted(unitText, canonical.code()));
  }
}
