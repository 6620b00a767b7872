/**
 * What a tool is: its class, its values, the rules that must hold and its drawn outline.
 *
 * <p>{@link arborline.core.tool.ToolClasses} is the way in. A tool class is one file in {@code
 * kind}, a rule one file in {@code rule}; both are found without editing anything else. Axis
 * convention of outlines: z runs from the gauge line (shank end, z = 0) to the tip, r is the
 * distance from the axis; millimetres.
 */
package arborline.core.tool;
