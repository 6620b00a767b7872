/** Packages of vendors: items with their properties, models, pictures and documents. */
package arborline.core.vendor;
