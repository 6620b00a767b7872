/** Jobs of the shop: where they run and which tools their programs call. */
package arborline.server.job;
