/** The tool classes, one file each. */
package arborline.core.tool.kind;
