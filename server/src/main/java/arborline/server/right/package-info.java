/** Who may see and change which library and tool; asked before anything is done. */
package arborline.server.right;
