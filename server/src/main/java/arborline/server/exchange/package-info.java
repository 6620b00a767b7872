/** Libraries go out as files. */
package arborline.server.exchange;
