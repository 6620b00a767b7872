/** Joins changes that two made of one thing, field by field. */
package arborline.core.merge;
