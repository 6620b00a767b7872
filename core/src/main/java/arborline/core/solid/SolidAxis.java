package arborline.core.solid;

import arborline.core.solid.shape.Vector3;

/**
 * An axis of a part in the file's frame.
 *
 * @param point of it at the workpiece end, or where it begins
 * @param direction towards the machine end, of length 1
 * @param diameter of what is turned around it, mm
 */
public record SolidAxis(Vector3 point, Vector3 direction, double diameter) {}
