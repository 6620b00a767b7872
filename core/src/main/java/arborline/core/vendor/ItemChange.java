package arborline.core.vendor;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Quantity;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * What a vendor changed of an item between two releases, beside what the shop made of it.
 *
 * @param fields those that the vendor changed, in the order of their names
 */
public record ItemChange(List<Field> fields) {

  /** What follows for the shop's own item. */
  public enum Outcome {
    /** The shop had the vendor's value: the new one is proposed. */
    FOLLOWS,
    /** The shop has another value of its own: somebody decides. */
    CONFLICT,
    /** The vendor no longer says it, and the shop has it: somebody decides. */
    WITHDRAWN,
    /** What the vendor says could not be read: somebody corrects it, or keeps what the shop has. */
    UNREAD,
    /** The shop has the new value already. */
    AGREES
  }

  /**
   * A field that the vendor changed.
   *
   * @param field symbol, or {@code NAME}, {@code CLASS}, {@code NOTES}
   * @param before what the vendor said; empty where nothing
   * @param now what the vendor says, as written where it could not be read; empty where nothing
   * @param ours what the shop has; empty where nothing
   */
  public record Field(String field, String before, String now, String ours, Outcome outcome) {}

  public ItemChange {
    fields = List.copyOf(fields);
  }

  /** Of a tool, a holder or another part. */
  public static ItemChange of(ItemSaid before, ItemSaid now, ItemSaid ours) {
    SortedSet<String> names = new TreeSet<>(before.values().keySet());
    names.addAll(now.values().keySet());
    names.addAll(now.unread().keySet());
    List<Field> changed = new ArrayList<>();
    for (String name : names) {
      Value was = before.values().get(name);
      Value is = now.values().get(name);
      Value own = ours.values().get(name);
      String unread =
          now.unread().getOrDefault(name, was == null ? null : now.doubtful().get(name));
      if (unread != null) {
        if (!unread.equals(before.unread().get(name))) {
          changed.add(new Field(name, text(before, name), unread, text(own), Outcome.UNREAD));
        }
      } else if (!same(was, is)) {
        changed.add(
            new Field(name, text(before, name), text(is), text(own), outcome(was, is, own)));
      }
    }
    return new ItemChange(changed);
  }

  /** Fields that are proposed. */
  public SortedSet<String> proposed() {
    return with(Outcome.FOLLOWS);
  }

  /** Fields of which somebody decides. */
  public SortedSet<String> asked() {
    SortedSet<String> asked = with(Outcome.CONFLICT);
    asked.addAll(with(Outcome.WITHDRAWN));
    asked.addAll(with(Outcome.UNREAD));
    return asked;
  }

  private SortedSet<String> with(Outcome outcome) {
    SortedSet<String> names = new TreeSet<>();
    fields.stream().filter(one -> one.outcome() == outcome).map(Field::field).forEach(names::add);
    return names;
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

  private static String text(ItemSaid said, String name) {
    return said.unread().getOrDefault(name, text(said.values().get(name)));
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
}
