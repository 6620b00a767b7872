package arborline.core.tool;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.UnitKind;
import java.math.BigDecimal;
import java.util.Set;
import java.util.stream.Stream;

/** What two tools have in common that cut alike, whatever they are called and made of. */
public final class Geometry {

  private static final Set<UnitKind> KINDS =
      Set.of(UnitKind.LENGTH, UnitKind.ANGLE, UnitKind.COUNT, UnitKind.THREADS);
  private static final Set<String> WORDS = Set.of("HAND", "TDZ", "PROFILE", "MIID", "SHANK");

  private Geometry() {}

  /**
   * True for two tools of one class whose lengths, angles, counts and designations are equal. What
   * only one of them states does not tell them apart.
   */
  public static boolean same(Tool one, Tool other) {
    return one.toolClass().equals(other.toolClass())
        && alike(Completed.of(one).tool(), Completed.of(other).tool());
  }

  private static boolean alike(Tool one, Tool other) {
    return Stream.concat(one.values().keySet().stream(), other.values().keySet().stream())
        .distinct()
        .filter(Geometry::tells)
        .allMatch(symbol -> alike(symbol, one, other));
  }

  private static boolean tells(String symbol) {
    return WORDS.contains(symbol)
        || Dictionary.standard()
            .find(symbol)
            .flatMap(Property::unit)
            .filter(unit -> KINDS.contains(unit.kind()))
            .isPresent();
  }

  private static boolean alike(String symbol, Tool one, Tool other) {
    if (!one.has(symbol) || !other.has(symbol)) {
      return true;
    }
    BigDecimal size = one.size(symbol);
    BigDecimal theirs = other.size(symbol);
    return size == null || theirs == null
        ? one.word(symbol).equals(other.word(symbol))
        : size.compareTo(theirs) == 0;
  }
}
