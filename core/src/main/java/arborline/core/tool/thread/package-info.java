/** One thread system a file: how its sizes are written, and the diameter and pitch they name. */
package arborline.core.tool.thread;
