/** One kind of implication a file: what values of a tool follow from which others, and how. */
package arborline.core.tool.implied;
