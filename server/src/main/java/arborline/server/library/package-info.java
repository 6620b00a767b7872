/** Libraries, their tools and versions: lists, sheets, changes, export. */
package arborline.server.library;
