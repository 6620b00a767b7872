package arborline.core.vendor;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.part21.VendorProperties;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.stack.Component;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What is said of an item, field by field.
 *
 * @param values by symbol, and {@code NAME}, {@code CLASS}, {@code NOTES}
 * @param unread text of cells that could not be read, by symbol
 * @param doubtful what the file says without a size that could be told, in words, by symbol
 */
public record ItemSaid(
    SortedMap<String, Value> values,
    SortedMap<String, String> unread,
    SortedMap<String, String> doubtful) {

  public static final String NAME = "NAME";
  public static final String CLASS = "CLASS";
  public static final String NOTES = "NOTES";

  /** Cells that are no fields of an item: they say what it is called and where it belongs. */
  private static final Set<String> NO_FIELDS =
      Set.of(RawItem.CODE, RawItem.NUMBER, RawItem.SECTION, RawItem.ATTACHMENT);

  public ItemSaid {
    values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
    unread = Collections.unmodifiableSortedMap(new TreeMap<>(unread));
    doubtful = Collections.unmodifiableSortedMap(new TreeMap<>(doubtful));
  }

  /** What cells say of a tool or of a part, as their kind is. */
  public static ItemSaid of(RawItem raw) {
    Optional<Component.Kind> kind = raw.kind().component();
    if (kind.isPresent()) {
      PartReading.Interpreted read = PartReading.interpret(raw, kind.get());
      return of(fields(read.component()), raw, read.findings());
    }
    Interpreter.Interpreted read = Interpreter.interpret(raw);
    return of(fields(read.tool()), raw, read.findings());
  }

  public static ItemSaid of(Tool tool) {
    return new ItemSaid(fields(tool), new TreeMap<>(), new TreeMap<>());
  }

  public static ItemSaid of(Component part) {
    return new ItemSaid(fields(part), new TreeMap<>(), new TreeMap<>());
  }

  private static ItemSaid of(SortedMap<String, Value> values, RawItem raw, List<Finding> findings) {
    Set<String> held =
        findings.stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .flatMap(finding -> finding.properties().stream())
            .collect(Collectors.toSet());
    SortedMap<String, String> unread = new TreeMap<>();
    raw.cells()
        .forEach((symbol, cell) -> {
          if (held.contains(symbol)
              && !cell.blank()
              && !values.containsKey(symbol)
              && !NO_FIELDS.contains(symbol)) {
            unread.put(symbol, cell.text().strip());
          }
        });
    SortedMap<String, String> doubtful = new TreeMap<>();
    findings.stream()
        .filter(finding -> finding.code().equals(VendorProperties.DOUBTFUL))
        .forEach(finding -> {
          String symbol = finding.properties().getFirst();
          if (!values.containsKey(symbol) && !unread.containsKey(symbol)) {
            doubtful.put(symbol, finding.message().substring(symbol.length() + 2));
          }
        });
    return new ItemSaid(values, unread, doubtful);
  }

  private static SortedMap<String, Value> fields(Tool tool) {
    SortedMap<String, Value> fields = new TreeMap<>(tool.values());
    word(fields, NAME, tool.name());
    word(fields, CLASS, tool.toolClass());
    tool.notes()
        .forEach((heading, text) -> {
          String before = fields.get(NOTES) instanceof Value.Word word ? word.text() + "; " : "";
          word(fields, NOTES, before + (heading.isEmpty() ? text : heading + ": " + text));
        });
    return fields;
  }

  private static void word(Map<String, Value> fields, String name, String text) {
    if (!text.isBlank()) {
      fields.put(name, new Value.Word(text, false));
    }
  }

  private static SortedMap<String, Value> fields(Component part) {
    SortedMap<String, Value> fields = new TreeMap<>();
    PartReading.of(part).cells().forEach((symbol, cell) -> fields.put(symbol, value(symbol, cell)));
    fields.remove(RawItem.CODE);
    return fields;
  }

  private static Value value(String symbol, Cell cell) {
    Optional<Property> numeric = Dictionary.standard().find(symbol).filter(Property::numeric);
    return numeric
        .flatMap(Property::unit)
        .map(unit -> EntryParser.parse(cell.text(), cell.unit().orElse(unit)))
        .filter(Entry.Understood.class::isInstance)
        .<Value>map(read -> new Value.Measure(((Entry.Understood) read).quantity(), false))
        .orElseGet(() -> new Value.Word(cell.text(), false));
  }
}
