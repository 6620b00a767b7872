package arborline.server.job;

import org.jspecify.annotations.Nullable;

/**
 * A tool that a job calls.
 *
 * @param number by which its program calls it; {@link JobNumbers#NONE} for none yet
 * @param library from which it is taken; null for any that has it
 */
record JobTool(int number, long tool, @Nullable Long library) {}
