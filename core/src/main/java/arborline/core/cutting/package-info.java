/** Cutting data: formulas, work materials, and the window in which a tool can be used. */
package arborline.core.cutting;
