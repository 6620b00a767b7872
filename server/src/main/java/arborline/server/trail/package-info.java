/** Who changed what and when, and how to take it back. */
package arborline.server.trail;
