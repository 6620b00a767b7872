/** Finds tools that may be one tool under two codes, and says by what. */
package arborline.core.duplicate;
