package arborline.core.machine;

/**
 * Where a machine keeps its tools.
 *
 * @param form {@code chain}, {@code carousel} or {@code rack}; decides how it is drawn
 * @param pockets how many; numbered from 1
 * @param closed true where the last pocket is beside the first
 * @param random true where the control puts a tool back into any free pocket
 */
public record Magazine(String form, int pockets, boolean closed, boolean random) {}
