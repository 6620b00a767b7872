/** The drawn shape of a tool: half profiles over the axis and where its dimensions sit on them. */
package arborline.core.tool.outline;
