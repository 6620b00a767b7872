/** Posts, what of a library can be posted, and operation defaults with their replacements. */
package arborline.server.post;
