/** What one change does to many tools, tool by tool, before anybody has it done. */
package arborline.core.edit;
