package arborline.core.cutting;

import arborline.core.formula.ValueFormula;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Speed and feed of a tool for a work material and a purpose, with where they come from.
 *
 * @param material id of a work material that we know, else what it was called; blank for all
 * @param grade the grade of it that was named, such as {@code 1.4462}; blank where none was
 * @param purpose rough, finish, slot...
 * @param speed vc, m/min
 * @param feed per tooth in milling, else per revolution, mm
 * @param depth ap, mm; 0 where none is stated
 * @param width ae, mm; 0 where none is stated
 * @param author who stands by it; blank where nobody said
 * @param at when they did
 * @param machine at which it was proven; blank where it was not
 * @param beforeSpeed vc that stood there before it was proven, m/min
 * @param beforeFeed feed that stood there before it was proven, mm
 * @param formulas by field, for those that follow from others
 */
public record CuttingEntry(
    String material,
    String grade,
    String purpose,
    BigDecimal speed,
    BigDecimal feed,
    BigDecimal depth,
    BigDecimal width,
    String coolant,
    CuttingOrigin origin,
    String author,
    Optional<Instant> at,
    String machine,
    Optional<BigDecimal> beforeSpeed,
    Optional<BigDecimal> beforeFeed,
    SortedMap<CuttingField, ValueFormula> formulas) {

  public CuttingEntry {
    formulas = Collections.unmodifiableSortedMap(new TreeMap<>(formulas));
    speed = plain(speed);
    feed = plain(feed);
    depth = plain(depth);
    width = plain(width);
    beforeSpeed = beforeSpeed.map(CuttingEntry::plain);
    beforeFeed = beforeFeed.map(CuttingEntry::plain);
  }

  /** Without trailing zeros, so that equal means equal in size. */
  private static BigDecimal plain(BigDecimal number) {
    return number.signum() == 0 ? BigDecimal.ZERO : number.stripTrailingZeros();
  }

  /** The same numbers for the same purpose, whoever stands by them. */
  public boolean sameCut(CuttingEntry other) {
    return material.equals(other.material)
        && grade.equals(other.grade)
        && purpose.equals(other.purpose)
        && coolant.equals(other.coolant)
        && origin == other.origin
        && machine.equals(other.machine)
        && numbers().equals(other.numbers())
        && formulas.equals(other.formulas);
  }

  private Map<CuttingField, BigDecimal> numbers() {
    return Map.of(
        CuttingField.VC, speed,
        CuttingField.FEED, feed,
        CuttingField.AP, depth,
        CuttingField.AE, width);
  }
}
