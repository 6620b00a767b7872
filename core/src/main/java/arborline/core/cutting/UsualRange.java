package arborline.core.cutting;

/** What is usual, lowest and highest: speeds in m/min, feeds in mm. */
record UsualRange(double low, double high) {

  double middle() {
    return (low + high) / 2;
  }

  UsualRange times(double factor) {
    return new UsualRange(low * factor, high * factor);
  }
}
