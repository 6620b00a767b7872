package arborline.core.merge;

import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.util.Optional;

/**
 * A value as it is written.
 *
 * @param text a number such as {@code 10.0} or {@code 1/2}, or a word
 * @param unit as it is written; empty where there is none
 */
public record Amount(String text, String unit) implements MergeField {

  /**
   * The same size exactly, with 1 in = 25.4 mm and without any tolerance; what is no number is the
   * same to the letter.
   */
  @Override
  public boolean sameSize(MergeField other) {
    return other instanceof Amount amount && (equals(amount) || sameNumber(amount));
  }

  private boolean sameNumber(Amount other) {
    Optional<Unit> known = Unit.named(unit);
    Optional<Unit> otherKnown = Unit.named(other.unit);
    boolean comparable = known.isPresent() && otherKnown.isPresent() || unit.equals(other.unit);
    Optional<Quantity> size = number(known.orElse(Unit.ONE));
    Optional<Quantity> otherSize = other.number(otherKnown.orElse(Unit.ONE));
    return comparable
        && size.isPresent()
        && otherSize.isPresent()
        && size.get().sameAs(otherSize.get());
  }

  private Optional<Quantity> number(Unit assumed) {
    return EntryParser.parse(text, assumed) instanceof Entry.Understood understood
        ? Optional.of(understood.quantity())
        : Optional.empty();
  }
}
