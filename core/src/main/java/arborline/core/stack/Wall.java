package arborline.core.stack;

/**
 * A wall beside a stack.
 *
 * @param height above the tip, mm
 * @param distance from the axis, mm
 */
public record Wall(double height, double distance) {}
