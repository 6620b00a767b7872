/**
 * What holds tools at a machine: places, their neighbours and limits, and how they are laid out.
 */
package arborline.core.storage;
