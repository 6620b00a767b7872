package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** Turns cells into a tool and says which of them it could not understand. */
public final class Interpreter {

  private static final Pattern BREAKS = Pattern.compile("\\s*[\\t\\r\\n]+\\s*");
  private static final Pattern WHOLE = Pattern.compile("\\d{1,8}");

  private Interpreter() {}

  /**
   * What was understood.
   *
   * @param number the tool number, where the line carries one
   * @param findings about single cells; rules of the class are not yet asked
   */
  public record Interpreted(Tool tool, OptionalInt number, List<Finding> findings) {}

  /** Reads every cell; a trade default that the other cells outdo is left out. */
  public static Interpreted interpret(RawItem raw) {
    List<Finding> findings = new ArrayList<>(raw.findings());
    TreeMap<String, Value> values = new TreeMap<>();
    TreeMap<String, String> notes = new TreeMap<>();
    TreeMap<String, Cell> formulas = new TreeMap<>();
    raw.cells()
        .forEach((symbol, cell) -> {
          if (cell.blank() || identity(symbol)) {
            return;
          }
          if (RawItem.isNote(symbol)) {
            notes.put(heading(symbol), cell.text().strip());
          } else if (FormulaCells.holds(symbol, cell)) {
            formulas.put(symbol, cell);
          } else {
            value(symbol, cell, values, notes, findings);
          }
        });
    String className = raw.text(RawItem.CLASS);
    String classId =
        className.isEmpty()
            ? ""
            : ToolClasses.named(className).map(known -> known.sheet().id()).orElse(className);
    OptionalInt number = number(raw.text(RawItem.NUMBER), findings);
    Tool written = new Tool(raw.text(RawItem.CODE), name(raw, findings), classId, values, notes);
    Tool sure = Completed.withoutOutdoneDefaults(written);
    Tool tool = formulas.isEmpty() ? sure : FormulaCells.worked(sure, formulas, findings);
    return new Interpreted(tool, number, findings);
  }

  private static boolean identity(String symbol) {
    return switch (symbol) {
      case RawItem.CODE,
          RawItem.NAME,
          RawItem.CLASS,
          RawItem.NUMBER,
          RawItem.SECTION,
          RawItem.ATTACHMENT ->
          true;
      default -> false;
    };
  }

  private static String heading(String column) {
    return column.equals(RawItem.NOTE) ? "" : column.substring(RawItem.NOTE.length() + 1);
  }

  /** A name is one line: breaks and tabs in it become spaces. */
  private static String name(RawItem raw, List<Finding> findings) {
    String text = raw.text(RawItem.NAME);
    boolean broken = text.indexOf('\t') >= 0 || text.indexOf('\r') >= 0 || text.indexOf('\n') >= 0;
    String line = broken ? BREAKS.matcher(text).replaceAll(" ") : text;
    if (!line.equals(text)) {
      findings.add(
          Finding.note(
              "name-line-break", "line breaks or tabs in the name are written as spaces", "NAME"));
    }
    return line;
  }

  private static void value(
      String symbol,
      Cell cell,
      Map<String, Value> values,
      Map<String, String> notes,
      List<Finding> findings) {
    Property property = Dictionary.standard().find(symbol).orElse(null);
    if (property == null) {
      notes.put(symbol, cell.text().strip());
      findings.add(
          Finding.note(
              "property.unknown",
              "'%s' is not a property that we know; '%s' is kept as a note"
                  .formatted(symbol, cell.text()),
              symbol));
    } else if (property.numeric()) {
      measure(property, cell, values, findings);
    } else {
      values.put(property.symbol(), new Value.Word(cell.text().strip(), cell.defaulted()));
    }
  }

  private static void measure(
      Property property, Cell cell, Map<String, Value> values, List<Finding> findings) {
    Unit unit = cell.unit().orElseGet(() -> property.unit().orElseThrow());
    switch (EntryParser.parse(cell.text(), unit, property::accepts)) {
      case Entry.Understood understood -> {
        if (sound(property, understood.quantity())) {
          values.put(property.symbol(), new Value.Measure(understood.quantity(), cell.defaulted()));
        } else {
          findings.add(
              refused(
                  property,
                  cell,
                  understood.quantity().unit().code() + " does not measure it",
                  "enter it in " + property.unit().orElseThrow().code()));
        }
      }
      case Entry.Refused refused ->
          findings.add(refused(property, cell, refused.reason(), refused.remedy()));
    }
  }

  /** A quantity of the property's kind; threads per inch are a pitch only above zero. */
  private static boolean sound(Property property, Quantity quantity) {
    return property.accepts(quantity.unit())
        && Conversion.obstacle(quantity.amount(), quantity.unit(), property.unit().orElseThrow())
            .isEmpty();
  }

  private static Finding refused(Property property, Cell cell, String reason, String remedy) {
    return Finding.hold(
        "not-a-number",
        "%s %s: '%s': %s; %s"
            .formatted(property.name(), property.symbol(), cell.text().strip(), reason, remedy),
        property.symbol());
  }

  private static OptionalInt number(String text, List<Finding> findings) {
    if (text.isEmpty()) {
      return OptionalInt.empty();
    }
    if (WHOLE.matcher(text).matches()) {
      return OptionalInt.of(Integer.parseInt(text));
    }
    findings.add(
        Finding.hold(
            "number-not-whole",
            "tool number '%s' is not a whole number up to eight digits".formatted(text),
            RawItem.NUMBER));
    return OptionalInt.empty();
  }
}
