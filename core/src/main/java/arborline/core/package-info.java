/**
 * The computation of Arbor Line: quantities, tools, rules, file formats, machines and tool tables.
 *
 * <p>Plain Java: no Spring, no JPA, no I/O but the streams that callers hand in. Lengths are
 * millimetres and angles degrees unless a name says otherwise.
 */
package arborline.core;
