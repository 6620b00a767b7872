package arborline.core.loadplan;

/**
 * One thing in the way of a load.
 *
 * @param tool which tool; empty where it is the set of them
 * @param message a sentence with the actual numbers
 */
public record LoadObstacle(LoadReason reason, String tool, String message) {}
