package arborline.core.stack;

/**
 * Cross section of a shank or head that is not round.
 *
 * @param height in the direction of the cutting force, mm
 * @param width across it, mm
 */
public record Section(double height, double width) {

  /** mm2. */
  double area() {
    return height * width;
  }

  /**
   * Diameter of a round bar that bends alike, mm: b h3/12 = pi d4/64 (second moments of area, beam
   * theory).
   */
  double roundThatBendsAlike() {
    return Math.pow(16 * width * Math.pow(height, 3) / (3 * Math.PI), 0.25);
  }
}
