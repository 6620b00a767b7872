package arborline.core.quantity;

/** What a unit measures; only units of one kind convert into each other. */
public enum UnitKind {
  LENGTH,
  /** Threads in a length: the reciprocal of a pitch. */
  THREADS,
  ANGLE,
  COUNT,
  SURFACE_SPEED,
  FEED_RATE,
  FEED_PER_REVOLUTION,
  ROTATION,
  MASS,
  TORQUE,
  POWER,
  PRESSURE,
  REMOVAL_RATE,
  TIME
}
