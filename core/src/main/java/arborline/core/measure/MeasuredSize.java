package arborline.core.measure;

/** What of a tool is measured. */
public enum MeasuredSize {
  LENGTH,
  DIAMETER,
  /** Half of a diameter, where a control keeps radii. */
  RADIUS
}
