/** Judges what arrived, line by line, and says what would have to happen before it may enter. */
package arborline.core.inspect;
