package arborline.core.table;

/**
 * A file for a control.
 *
 * @param name where the control expects it
 * @param content the whole text
 */
public record ControlFile(String name, String mediaType, String content) {}
