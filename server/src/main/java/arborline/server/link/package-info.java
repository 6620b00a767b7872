/** Links of the shop as one graph: where each leads, which lead nowhere, what a change touches. */
package arborline.server.link;
