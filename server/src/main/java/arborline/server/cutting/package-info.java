/** Cutting data of the shop's tools: what was said, computed and proven. */
package arborline.server.cutting;
