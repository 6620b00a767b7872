package arborline.server.tool;

/**
 * What a deed did to a tool.
 *
 * @param version that stands now; 0 where the tool left a library
 * @param undo line of the trail that takes it back; 0 where nothing changed
 */
public record ToolDone(long toolId, int version, long undo) {}
