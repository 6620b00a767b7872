/** What the shop has of vendors, and what vendors say of it now. */
package arborline.server.vendor;
