package arborline.core.machine;

import java.math.BigDecimal;

/**
 * An axis and how far it goes, mm or degrees.
 *
 * @param rotary true for degrees
 */
public record Axis(String name, BigDecimal from, BigDecimal to, boolean rotary) {}
