/** Tells open pages what others changed, across server instances, through the database. */
package arborline.server.live;
