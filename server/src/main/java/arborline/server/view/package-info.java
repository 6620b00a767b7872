/** How people look at lists: the columns, the order, the groups and the filters that they keep. */
package arborline.server.view;
