package arborline.server.derived;

import java.time.Instant;

/**
 * A library that came from an edition of another one.
 *
 * @param editionId of the base, which it came from or took in last
 * @param ending what the codes of the base have at their end here
 */
record DerivedLibrary(
    long libraryId, long baseId, long editionId, String ending, Instant derivedAt, String by) {}
