/**
 * Codes and names from patterns over properties, and what a control's comment can carry of them.
 */
package arborline.core.naming;
