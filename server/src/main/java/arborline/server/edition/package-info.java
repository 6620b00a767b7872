/** Editions: libraries as they were published, for ever. */
package arborline.server.edition;
