/** Libraries that came from editions of others and still take in what becomes of those. */
package arborline.server.derived;
