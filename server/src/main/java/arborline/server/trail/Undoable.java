package arborline.server.trail;

/**
 * Says only that something was done.
 *
 * @param undo line of the trail that takes it back
 */
public record Undoable(long undo) {}
