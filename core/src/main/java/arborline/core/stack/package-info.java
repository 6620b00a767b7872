/** Stacks: holders, extensions, collets and a cutter joined from the machine to the edge. */
package arborline.core.stack;
