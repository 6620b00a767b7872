/** The formulas of machining textbooks, one file each. */
package arborline.core.cutting.formula;
