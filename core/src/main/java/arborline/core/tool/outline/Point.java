package arborline.core.tool.outline;

/** A point of a half profile: z along the axis from the gauge line, r from the axis, both mm. */
public record Point(double z, double r) {}
