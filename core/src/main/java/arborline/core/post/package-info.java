/** Posts: what a post-processor needs of a tool, and the operation defaults that come with it. */
package arborline.core.post;
