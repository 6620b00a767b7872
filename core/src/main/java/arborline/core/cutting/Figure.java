package arborline.core.cutting;

/**
 * A number that only some ways of cutting have.
 *
 * @param unit code of its unit
 */
public record Figure(String title, double value, String unit) {}
