package arborline.server.physical;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is done to the assembly of a piece.
 *
 * @param assembled true to put it together, false to take it apart
 * @param machine for which; null for the one that it was for
 * @param scanned codes of the parts that were taken, from the gauge line on, the cutter last; null
 *     or none where nobody scanned
 */
record AssemblyOrder(
    @Nullable Boolean assembled,
    @Nullable String machine,
    @Nullable List<@Nullable String> scanned) {}
