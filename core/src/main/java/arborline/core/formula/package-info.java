/**
 * Values that depend on others: {@code APMX + 2}, {@code min(LU, 3 * DC)}.
 *
 * <p>{@link arborline.core.formula.ValueFormula} is the way in. A formula names properties by their
 * symbols and knows + - * / ( ) min max; its units are checked, and {@link
 * arborline.core.formula.FormulaOrder} refuses circles.
 */
package arborline.core.formula;
