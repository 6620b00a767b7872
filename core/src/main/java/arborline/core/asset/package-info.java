/**
 * MTConnect cutting-tool assets: what a document of any version says of tools, and what is wrong
 * with it. Source: MTConnect part 4.1, cutting tools.
 *
 * <p>{@link arborline.core.asset.AssetReader} is the way in.
 */
package arborline.core.asset;
