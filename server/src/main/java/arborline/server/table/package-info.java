/** Tool tables: reads controls, compares, writes, reads back and proves. */
package arborline.server.table;
