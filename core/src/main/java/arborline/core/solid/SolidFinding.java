package arborline.core.solid;

/**
 * Something about a solid that a person should know.
 *
 * @param line of the file; 0 where it concerns the whole
 * @param code a word for it, such as {@code open-shell}
 * @param message what and where, in words
 */
public record SolidFinding(long line, String code, String message) {}
