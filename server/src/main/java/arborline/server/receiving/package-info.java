/** Deliveries: files come in, are inspected, put right, and taken into a library. */
package arborline.server.receiving;
