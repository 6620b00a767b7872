/**
 * Real pieces of tools: the state that they are in, where they are, and what they may cut. One
 * piece stands in one place, and one place holds one piece.
 */
package arborline.core.physical;
