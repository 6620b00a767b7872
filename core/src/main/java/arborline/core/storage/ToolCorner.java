package arborline.core.storage;

import java.math.BigDecimal;

/**
 * An outermost point of a tool in its holder.
 *
 * @param along from the gauge line, mm
 * @param beside from the axis of its place, mm
 */
public record ToolCorner(BigDecimal along, BigDecimal beside) {}
