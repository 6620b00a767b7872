package arborline.server.outlet;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An outlet as it is kept.
 *
 * @param editionId null for always the newest
 * @param unit {@code mm}, {@code in}, or empty for lengths as authored
 * @param folder null for one behind an address
 * @param name of the file
 * @param version grows with each change of what it is to write
 * @param wanted true where it is to be written again whatever stands there
 * @param fault why it could not be written last; null where it could
 * @param writtenEditionId null while nothing was written
 * @param modifiedAt of the file in its folder as we left it, milliseconds
 */
record Outlet(
    long id,
    long libraryId,
    @Nullable Long editionId,
    String format,
    String unit,
    OutletKind kind,
    @Nullable String folder,
    String name,
    int version,
    Instant madeAt,
    String madeBy,
    boolean wanted,
    @Nullable String fault,
    @Nullable Instant triedAt,
    @Nullable Long writtenEditionId,
    @Nullable Instant writtenAt,
    long size,
    String sha256,
    long modifiedAt,
    long tools,
    long lossCount,
    @Nullable String losses,
    @Nullable String proof) {}
