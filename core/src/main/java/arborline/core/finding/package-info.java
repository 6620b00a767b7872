/** What the product has to say about a value, a line or a tool: coded, located, repairable. */
package arborline.core.finding;
