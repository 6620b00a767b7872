package arborline.core.machine;

import arborline.core.naming.CommentFit;
import arborline.core.quantity.Unit;
import org.jspecify.annotations.Nullable;

/**
 * How a control keeps its tool table.
 *
 * @param dialect which {@code ControlDialect} speaks to it; empty where nothing does
 * @param wearApart true where geometry and wear have registers of their own
 * @param diameterShown true where registers hold diameters, false where they hold radii
 * @param spindleReported true where it tells which tool is in the spindle
 * @param decimals decimals of its length registers
 * @param nameLength longest name it keeps; 0 where it keeps none
 * @param nameCharacters characters a name may have, as the inside of a regular expression class
 * @param unit of its lengths: mm, which is meant where none is stated, or in
 */
public record ControlHabits(
    String dialect,
    boolean wearApart,
    boolean diameterShown,
    boolean spindleReported,
    int decimals,
    int nameLength,
    String nameCharacters,
    @Nullable String unit) {

  /** The unit of its lengths; millimetres where none is stated. */
  public Unit lengths() {
    return unit == null ? Unit.MILLIMETRE : Unit.named(unit).orElseThrow();
  }

  /** A name as this control can keep it. */
  public String fit(String name) {
    return fitted(name).text();
  }

  /** The same with its length and what had to be given up. */
  public CommentFit.Fitted fitted(String name) {
    return CommentFit.fit(name, nameCharacters, nameLength);
  }
}
