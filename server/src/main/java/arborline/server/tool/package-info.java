/** Tools of the shop: their versions, codes and sheets. */
package arborline.server.tool;
