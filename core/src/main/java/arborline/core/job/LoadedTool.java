package arborline.core.job;

/**
 * A tool in the load of a machine, as a program finds it.
 *
 * @param use how it is used there, in words; empty where that makes no difference to a program
 */
public record LoadedTool(long toolId, long number, String use) {}
