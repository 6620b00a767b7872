package arborline.server.edition;

import java.time.Instant;

/**
 * An edition of a library.
 *
 * @param number from 1 for each library
 * @param words why it was made
 * @param hash SHA-256 of all that is in it; the same for the same content
 * @param tools how many are in it
 */
public record EditionHead(
    long id,
    long libraryId,
    int number,
    String words,
    String hash,
    int tools,
    Instant madeAt,
    String madeBy) {}
