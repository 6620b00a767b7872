package arborline.core.formula;

import arborline.core.quantity.Unit;

/**
 * What an amount measures, as powers of length, time, angle, mass, force and energy rate.
 *
 * @param length power of mm
 * @param time power of min
 * @param angle power of deg
 * @param other powers of the quantities that no formula mixes: mass, torque, power, pressure
 */
record Dimension(int length, int time, int angle, Other other) {

  static final Dimension NUMBER = new Dimension(0, 0, 0, Other.NONE);

  /** A quantity that may be added to its like and scaled, but not combined with others. */
  enum Other {
    NONE,
    MASS,
    TORQUE,
    POWER,
    PRESSURE
  }

  static Dimension of(Unit unit) {
    return switch (unit.kind()) {
      case LENGTH, FEED_PER_REVOLUTION -> new Dimension(1, 0, 0, Other.NONE);
      case THREADS -> new Dimension(-1, 0, 0, Other.NONE);
      case ANGLE -> new Dimension(0, 0, 1, Other.NONE);
      case COUNT -> NUMBER;
      case SURFACE_SPEED, FEED_RATE -> new Dimension(1, -1, 0, Other.NONE);
      case ROTATION -> new Dimension(0, -1, 0, Other.NONE);
      case REMOVAL_RATE -> new Dimension(3, -1, 0, Other.NONE);
      case TIME -> new Dimension(0, 1, 0, Other.NONE);
      case MASS -> new Dimension(0, 0, 0, Other.MASS);
      case TORQUE -> new Dimension(0, 0, 0, Other.TORQUE);
      case POWER -> new Dimension(0, 0, 0, Other.POWER);
      case PRESSURE -> new Dimension(0, 0, 0, Other.PRESSURE);
    };
  }

  boolean combines(Dimension with) {
    return other == Other.NONE || with.other == Other.NONE;
  }

  Dimension times(Dimension with) {
    return new Dimension(
        length + with.length,
        time + with.time,
        angle + with.angle,
        other == Other.NONE ? with.other : other);
  }

  Dimension inverse() {
    return new Dimension(-length, -time, -angle, other);
  }

  /** In words: {@code a length}, {@code a length x length}. */
  String text() {
    if (equals(NUMBER)) {
      return "a count";
    }
    if (other != Other.NONE) {
      return "a " + other.name().toLowerCase(java.util.Locale.ROOT);
    }
    if (length == 1 && time == 0 && angle == 0) {
      return "a length";
    }
    if (angle == 1 && length == 0 && time == 0) {
      return "an angle";
    }
    if (length == 1 && time == -1 && angle == 0) {
      return "a speed";
    }
    if (length == 0 && time == -1 && angle == 0) {
      return "a rotation";
    }
    StringBuilder text = new StringBuilder();
    power(text, "mm", length);
    power(text, "min", time);
    power(text, "deg", angle);
    return text.toString();
  }

  private static void power(StringBuilder text, String unit, int power) {
    if (power != 0) {
      text.append(text.isEmpty() ? "" : " ").append(unit).append(power == 1 ? "" : "^" + power);
    }
  }
}
