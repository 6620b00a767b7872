package arborline.core.turning;

import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * Where a turning tool may go without its trailing edge rubbing, in degrees.
 *
 * @param end between trailing edge and the turned face: 180 - KAPR - EPSR
 * @param plunge steepest way inwards in the feed direction: the end clearance less a reserve of 3
 * @param undercut how far the major edge leans over a shoulder: KAPR - 90; zero below
 */
public record EdgeClearances(BigDecimal end, BigDecimal plunge, BigDecimal undercut) {

  private static final BigDecimal STRAIGHT = new BigDecimal("180");
  private static final BigDecimal SQUARE = new BigDecimal("90");
  private static final BigDecimal RESERVE = new BigDecimal("3");

  /** Of a tool; nothing where its edge angle or the corner of its insert is not known. */
  public static Optional<EdgeClearances> of(Tool tool) {
    BigDecimal edge = tool.size("KAPR");
    BigDecimal corner = tool.size("EPSR");
    if (edge == null || corner == null) {
      return Optional.empty();
    }
    BigDecimal end = STRAIGHT.subtract(edge).subtract(corner);
    return Optional.of(
        new EdgeClearances(
            end,
            end.subtract(RESERVE).max(BigDecimal.ZERO),
            edge.subtract(SQUARE).max(BigDecimal.ZERO)));
  }
}
