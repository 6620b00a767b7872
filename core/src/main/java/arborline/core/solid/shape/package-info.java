/**
 * Points, curves and surfaces in space, in mm and radians. Which point has a face at its
 * parameters?
 */
package arborline.core.solid.shape;
