/** Files that belong to the shop's tools: pictures, models, data sheets. */
package arborline.server.attachment;
