package arborline.core.stack;

/** Materials of stack parts. Source: textbook densities and Young's moduli, generic values. */
public enum Material {
  STEEL(7850, 210),
  CARBIDE(14500, 600),
  HEAVY_METAL(17500, 340),
  ALUMINIUM(2750, 70);

  private final double density;
  private final double modulus;

  Material(double density, double modulus) {
    this.density = density;
    this.modulus = modulus;
  }

  /** kg/m3. */
  public double density() {
    return density;
  }

  /** GPa. */
  public double modulus() {
    return modulus;
  }
}
