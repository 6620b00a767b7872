package arborline.server.physical;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Sizes of a piece as they were measured.
 *
 * @param gauge with which
 * @param sizes by name, {@code length}, as typed or received: in the unit of its machine where none
 *     is written with them
 * @param although by name, what is suspected of a size and answered by whoever measured it: {@code
 *     out-of-tolerance}
 */
record MeasurementOrder(
    @Nullable Gauge gauge,
    @Nullable Map<String, String> sizes,
    @Nullable Map<String, String> although) {}
