/** What a fresh database needs before anybody can work: a first account, or the demo. */
package arborline.server.setup;
