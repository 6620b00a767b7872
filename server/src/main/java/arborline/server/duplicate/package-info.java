/** Tools that may be one: looking for them, keeping them apart, merging them. */
package arborline.server.duplicate;
