/** Puts a set of tools into the places of a machine with the fewest moves, or says why not. */
package arborline.core.loadplan;
