package arborline.core.solid;

/** How far a face goes around the axis: from an angle on, radians. */
record Sector(double from, double extent) {

  static final Sector WHOLE = new Sector(0, 2 * Math.PI);
}
