package arborline.server.library;

/**
 * Told inside the transaction that copies a tool, so that what belongs to it comes along.
 *
 * @param from the tool that was copied
 * @param to the copy
 */
public record ToolCopied(long from, long to) {}
