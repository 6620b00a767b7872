package arborline.server.physical;

import arborline.core.table.TableField;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A size that was measured of a piece.
 *
 * @param size mm
 * @param nominal mm, as it was then; null where nothing said it
 * @param entered as it was typed or received
 * @param regrinds of the piece when it was measured
 * @param although what was suspected of it and answered; empty where nothing was
 */
record PieceMeasurement(
    long pieceId,
    TableField field,
    BigDecimal size,
    @Nullable BigDecimal nominal,
    String entered,
    Gauge gauge,
    Instant at,
    String by,
    int regrinds,
    String although) {

  /** True where the piece still has that size: it was neither ground nor put together since. */
  boolean holdsOf(PhysicalTool piece) {
    return regrinds == piece.regrinds()
        && piece.assembledAt() != null
        && !at.isBefore(piece.assembledAt());
  }
}
