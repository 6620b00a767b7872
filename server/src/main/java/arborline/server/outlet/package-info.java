/** Outlets: editions written for programs that only read files. */
package arborline.server.outlet;
