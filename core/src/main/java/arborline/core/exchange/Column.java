package arborline.core.exchange;

import arborline.core.cutting.CuttingField;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How one column of a table is read.
 *
 * @param header the header cell as written
 * @param symbol property symbol or one of our columns; empty where the column is not read
 * @param unit unit of the values, where they are numbers
 * @param evidence why it is read so
 * @param adjustment what is done with its cells before
 * @param sample what is seen in it
 */
public record Column(
    String header,
    String symbol,
    Optional<Unit> unit,
    String evidence,
    Adjustment adjustment,
    ColumnSample sample) {

  /** A column whose cells are read as they are. */
  public Column(String header, String symbol, Optional<Unit> unit, String evidence) {
    this(header, symbol, unit, evidence, Adjustment.NONE, ColumnSample.NONE);
  }

  public Column with(Adjustment other) {
    return new Column(header, symbol, unit, evidence, other, sample);
  }

  /** The same under another header. */
  public Column named(String other) {
    return new Column(other, symbol, unit, evidence, adjustment, sample);
  }

  public Column with(ColumnSample other) {
    return new Column(header, symbol, unit, evidence, adjustment, other);
  }

  private static final Pattern HEADER =
      Pattern.compile("\\s*([^\\[(]*?)\\s*(?:[\\[(]\\s*([^\\])]*?)\\s*[\\])])?\\s*");
  private static final int LONGEST = 200;
  private static final int LONGEST_HEADING = 60;
  private static final Map<String, String> TEXTS =
      Stream.of(
              RawItem.CODE,
              RawItem.NAME,
              RawItem.CLASS,
              RawItem.NUMBER,
              RawItem.SECTION,
              RawItem.ATTACHMENT,
              RawItem.NOTE,
              RowItems.KIND,
              RowItems.PARTS,
              PartReading.BODIES,
              PartReading.BODY_MATERIAL,
              StackReading.SEAT,
              CuttingReading.MATERIAL,
              CuttingReading.PURPOSE,
              CuttingReading.COOLANT,
              CuttingReading.ORIGIN,
              CuttingReading.AUTHOR,
              CuttingReading.AT,
              CuttingReading.MACHINE)
          .collect(Collectors.toMap(column -> column, column -> column));
  private static final Set<String> LENGTHS =
      Set.of(StackReading.OVERHANG, PartReading.AXIS_AT, PartReading.AXIS_OUT);

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
    String word = name.toUpperCase(Locale.ROOT);
    String text = word.equals("DESCRIPTION") ? RawItem.NAME : TEXTS.get(word);
    if (text != null) {
      return new Column(header, text, Optional.empty(), "header says so");
    }
    if (word.startsWith(RawItem.NOTE + ":")) {
      return note(header, header.strip().substring(RawItem.NOTE.length() + 1), "header says so");
    }
    int colon = name.indexOf(':');
    if (colon > 0 && own(name.substring(0, colon).strip())) {
      return displayed(header, name.substring(0, colon).strip(), unitText);
    }
    return Dictionary.standard()
        .find(name)
        .map(property -> property(header, property, unitText))
        .or(() -> number(header, word, unitText))
        .orElseGet(() ->
            name.isEmpty()
                ? new Column(header, "", Optional.empty(), "the header cell is empty; not read")
                : note(
                    header,
                    header,
                    "'%s' is not a symbol that we know; kept as a note".formatted(name)));
  }

  /** True for a symbol of the dictionary and for one of our own columns. */
  private static boolean own(String word) {
    String upper = word.toUpperCase(Locale.ROOT);
    return TEXTS.containsKey(upper)
        || LENGTHS.contains(upper)
        || CuttingField.named(upper).isPresent()
        || Dictionary.standard().find(word).isPresent();
  }

  /** A symbol with any text behind a colon: {@code DC: cutting diameter [mm]}. */
  private static Column displayed(String header, String symbol, String unitText) {
    Column plain = of(unitText == null ? symbol : "%s [%s]".formatted(symbol, unitText));
    return new Column(header, plain.symbol(), plain.unit(), plain.evidence());
  }

  /** A column that is kept as a note under a heading. */
  static Column note(String header, String heading, String evidence) {
    String plain = heading.strip();
    String shown =
        plain.length() > LONGEST_HEADING ? plain.substring(0, LONGEST_HEADING).strip() : plain;
    return new Column(header, RawItem.note(shown), Optional.empty(), evidence);
  }

  /** A number of a line of cutting data, a stack or a part. */
  private static Optional<Column> number(String header, String word, String unitText) {
    Optional<Unit> own =
        LENGTHS.contains(word)
            ? Optional.of(Unit.MILLIMETRE)
            : CuttingField.named(word).map(CuttingField::unit);
    return own.map(canonical ->
        new Column(
            header,
            word,
            Optional.ofNullable(unitText)
                .flatMap(Unit::named)
                .filter(unit -> unit.kind() == canonical.kind())
                .or(() -> Optional.of(canonical)),
            "header says so"));
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
