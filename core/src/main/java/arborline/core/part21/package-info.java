/**
 * ISO 10303-21 physical files: statements in, statements out, and tool items with their properties
 * (ISO 13399) as one kind of them.
 */
package arborline.core.part21;
