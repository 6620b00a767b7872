/** Naming patterns of libraries: what they make of tools, renaming, reserving codes. */
package arborline.server.naming;
