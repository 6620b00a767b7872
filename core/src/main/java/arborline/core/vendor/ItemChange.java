package arborline.core.vendor;

import arborline.core.exchange.Cell;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.stack.Component;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a vendor changed of an item between two releases, beside what the shop made of it.
 *
 * @param fields those that the vendor changed, in the order of their names
 */
public record ItemChange(List<Field> fields) {

  public static final String NAME = "NAME";
  public static final String CLASS = "CLASS";
  public static final String NOTES = "NOTES";

  /** What follows for the shop's own item. */
  public enum Outcome {
    /** The shop had the vendor's value: the new one is proposed. */
    FOLLOWS,
    /** The shop has another value of its own: somebody decides. */
    CONFLICT,
    /** The vendor no longer says it, and the shop has it: somebody decides. */
    WITHDRAWN,
    /** The shop has the new value already. */
    AGREES
  }

  /**
   * A field that the vendor changed.
   *
   * @param field symbol, or {@code NAME}, {@code CLASS}, {@code NOTES}
   * @param before what the vendor said; empty where nothing
   * @param now what the vendor says; empty where nothing
   * @param ours what the shop has; empty where nothing
   */
  public record Field(String field, String before, String now, String ours, Outcome outcome) {}

  public ItemChange {
    fields = List.copyOf(fields);
  }

  /** Of a tool. */
  public static ItemChange of(Tool before, Tool now, Tool ours) {
    return of(fields(before), fields(now), fields(ours));
  }

  /** Of a holder or another part. */
  public static ItemChange of(Component before, Component now, Component ours) {
    return of(fields(before), fields(now), fields(ours));
  }

  /** Fields that are proposed. */
  public SortedSet<String> proposed() {
    return with(Outcome.FOLLOWS);
  }

  /** Fields of which somebody decides. */
  public SortedSet<String> asked() {
    SortedSet<String> asked = with(Outcome.CONFLICT);
    asked.addAll(with(Outcome.WITHDRAWN));
    return asked;
  }

  private SortedSet<String> with(Outcome outcome) {
    SortedSet<String> names = new TreeSet<>();
    fields.stream().filter(one -> one.outcome() == outcome).map(Field::field).forEach(names::add);
    return names;
  }

  private static ItemChange of(
      Map<String, Value> before, Map<String, Value> now, Map<String, Value> ours) {
    SortedSet<String> names = new TreeSet<>(before.keySet());
    names.addAll(now.keySet());
    List<Field> changed = new ArrayList<>();
    for (String name : names) {
      Value was = before.get(name);
      Value is = now.get(name);
      Value own = ours.get(name);
      if (!same(was, is)) {
        changed.add(new Field(name, text(was), text(is), text(own), outcome(was, is, own)));
      }
    }
    return new ItemChange(changed);
  }

  private static Outcome outcome(Value was, Value is, Value own) {
    if (same(own, is)) {
      return Outcome.AGREES;
    }
    if (is == null) {
      return Outcome.WITHDRAWN;
    }
    return same(own, was) ? Outcome.FOLLOWS : Outcome.CONFLICT;
  }

  private static String text(Value value) {
    return value == null ? "" : value.toString();
  }

  private static boolean same(Value one, Value other) {
    if (one == null || other == null) {
      return one == other;
    }
    return one.sameAs(other)
        || one instanceof Value.Measure mine
            && other instanceof Value.Measure theirs
            && restated(mine.quantity(), theirs.quantity());
  }

  /**
   * True for one size in two units: they are no further apart than half of the last place in which
   * either is written. 12 mm and 0.4724 in are one size.
   */
  private static boolean restated(Quantity one, Quantity other) {
    if (one.unit().equals(other.unit()) || one.unit().kind() != other.unit().kind()) {
      return false;
    }
    BigDecimal apart = Conversion.convert(other.amount(), other.unit(), one.unit()).amount();
    BigDecimal gap = apart.subtract(one.amount()).abs();
    BigDecimal coarse =
        halfPlace(one).max(Conversion.convert(halfPlace(other), other.unit(), one.unit()).amount());
    return gap.compareTo(coarse) <= 0;
  }

  private static final BigDecimal HALF = new BigDecimal("0.5");

  /** A whole number is not meant to be rounded to a whole one. */
  private static final int LEAST_PLACES = 3;

  private static BigDecimal halfPlace(Quantity quantity) {
    return HALF.scaleByPowerOfTen(-Math.max(LEAST_PLACES, quantity.amount().scale()));
  }

  private static Map<String, Value> fields(Tool tool) {
    Map<String, Value> fields = new TreeMap<>(tool.values());
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

  private static Map<String, Value> fields(Component part) {
    Map<String, Value> fields = new TreeMap<>();
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
