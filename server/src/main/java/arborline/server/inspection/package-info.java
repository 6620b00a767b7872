/** Reads the files of deliveries, judges their lines, puts lines right. */
package arborline.server.inspection;
