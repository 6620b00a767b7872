/**
 * One rule a file; each says what must or should hold, with the actual numbers when it does not.
 */
package arborline.core.tool.rule;
