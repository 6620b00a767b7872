/** News of vendors: what a release changes, what is no longer made, what waits to be fetched. */
package arborline.server.news;
