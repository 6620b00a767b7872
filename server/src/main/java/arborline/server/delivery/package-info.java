/** Deliveries: files that arrive, their lines, putting away and clearing. */
package arborline.server.delivery;
