/** Holders, extensions, collets and arbors, and the stacks that hold the shop's cutters. */
package arborline.server.stack;
