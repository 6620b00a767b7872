package arborline.core.measure;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A tool that is measured, and what is known of its size; numbers in the unit of its machine.
 *
 * @param nominal of the stack that it is in now; empty where that is not known
 * @param tolerance to either side; empty for what is usual
 * @param last as it was measured before
 */
public record MeasuredRow(
    String place,
    String tool,
    Optional<BigDecimal> nominal,
    Optional<BigDecimal> tolerance,
    Optional<BigDecimal> last,
    SinceMeasured since) {}
