package arborline.core.cutting;

/** Usual feeds of a tool in a material, lowest and highest, mm. */
record Feeds(double low, double high) {

  private static final double REFERENCE = 10;

  /** The range that a material states for a diameter of 10 mm, grown with the diameter. */
  static Feeds scaled(WorkMaterial material, double diameter, double factor) {
    double scale = factor * Math.clamp(diameter / REFERENCE, 0.1, 3);
    return new Feeds(material.feedLow() * scale, material.feedHigh() * scale);
  }

  double middle() {
    return (low + high) / 2;
  }
}
