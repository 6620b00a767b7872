/** Starts what tests and measurements need around the product: a private database, processes. */
package arborline.rig;
