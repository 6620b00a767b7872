/**
 * Files become files of another format, with what was lost said before and proof after.
 *
 * <p>{@link arborline.core.convert.FileConversion} reads a file as it would arrive, writes it, and
 * reads what it wrote back by the ordinary reader.
 */
package arborline.core.convert;
