/**
 * Solids of ISO 10303-21 files: which bodies are there, around which axis are they turned, and what
 * is their contour?
 */
package arborline.core.solid;
