/** Folders that are watched: files that appear in them become deliveries. */
package arborline.server.watch;
