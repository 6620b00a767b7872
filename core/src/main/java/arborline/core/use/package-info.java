/** One tool in one place of one machine in one way: how it stands, turns and is offset there. */
package arborline.core.use;
