/** Machines and their load plans: what should be in which pocket. */
package arborline.server.machine;
