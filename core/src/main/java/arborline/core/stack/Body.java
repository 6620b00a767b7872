package arborline.core.stack;

import java.util.Optional;

/**
 * A cylinder or cone along the axis, or a bar that fits into one.
 *
 * @param length mm
 * @param from diameter on the machine side, mm; of the circle around what is not round
 * @param to diameter on the workpiece side, mm
 * @param section of what is not round
 */
public record Body(double length, double from, double to, Optional<Section> section) {

  /** A cylinder or cone. */
  public Body(double length, double from, double to) {
    this(length, from, to, Optional.empty());
  }

  /** Volume in mm3. */
  double volume() {
    return section
        .map(bar -> bar.area() * length)
        .orElseGet(() -> Math.PI * length / 12 * (from * from + from * to + to * to));
  }

  /** Distance of the centre of mass from the machine side, mm. */
  double centre() {
    double sum = from * from + from * to + to * to;
    return sum == 0 || section.isPresent()
        ? length / 2
        : length / 4 * (from * from + 2 * from * to + 3 * to * to) / sum;
  }

  /** How high it is at its machine side in the direction of the cutting force, mm. */
  double height() {
    return section.map(Section::height).orElse(from);
  }

  /** Diameter at its machine side of something round that bends as it does, mm. */
  double bendsFrom() {
    return section.map(Section::roundThatBendsAlike).orElse(from);
  }

  /** Diameter at its workpiece side of something round that bends as it does, mm. */
  double bendsTo() {
    return section.map(Section::roundThatBendsAlike).orElse(to);
  }

  /** The part of this body before a length, counted from its machine side. */
  Body before(double at) {
    return new Body(at, from, diameter(at), section);
  }

  /** The part of this body behind a length. */
  Body behind(double at) {
    return new Body(length - at, diameter(at), to, section);
  }

  private double diameter(double at) {
    return length == 0 ? to : from + (to - from) * at / length;
  }
}
