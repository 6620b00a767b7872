/** Who may do what in a library, and why. */
package arborline.core.sharing;
