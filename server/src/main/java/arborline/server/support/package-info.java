/** What all modules of the server share: refusals in words, pages, JSON, the clock. */
package arborline.server.support;
