/** Takes good lines of deliveries into libraries. */
package arborline.server.acceptance;
