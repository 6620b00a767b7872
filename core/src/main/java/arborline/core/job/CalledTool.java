package arborline.core.job;

/**
 * A tool that a job calls.
 *
 * @param number by which its program calls it
 * @param toolId the tool of the library that is meant
 */
public record CalledTool(int number, long toolId, String code) {}
