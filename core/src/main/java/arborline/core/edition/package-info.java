/** Libraries as they were published: each tool frozen with what belongs to it, and compared. */
package arborline.core.edition;
