/** Machines as tool users: their places, limits and control habits, and what fits where. */
package arborline.core.machine;
