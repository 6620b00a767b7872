/**
 * Values as people write them and as machines compare them: authored text and unit, exact decimals,
 * conversion by exact factors. Nothing here uses binary floating point.
 */
package arborline.core.quantity;
