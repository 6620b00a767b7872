package arborline.core.cutting.formula;

/**
 * A round stretch of a bar in bending; conical where the diameters differ.
 *
 * @param length mm
 * @param from diameter at the end nearer to the free end, mm
 * @param to diameter at the other end, mm
 * @param modulus Young's modulus, GPa
 */
public record Segment(double length, double from, double to, double modulus) {

  /** Young's moduli in GPa: generic values of textbooks. */
  public static final double CARBIDE = 600;

  public static final double STEEL = 210;
}
