/**
 * The dictionary of tool properties by ISO 13399 preferred symbols, kept as data in {@code
 * dictionary.tsv}: a new property is one line there.
 */
package arborline.core.property;
