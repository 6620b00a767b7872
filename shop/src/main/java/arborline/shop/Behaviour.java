package arborline.shop;

/**
 * How a control misbehaves.
 *
 * @param offline drops every connection
 * @param slowMillis waits before every answer
 * @param refuseRegister tool number whose offsets it refuses; 0 for none
 * @param protectedMemory refuses all writing
 * @param cutAfterRows drops the connection after so many rows, once; null for never
 */
public record Behaviour(
    boolean offline,
    long slowMillis,
    int refuseRegister,
    boolean protectedMemory,
    Integer cutAfterRows) {

  static final Behaviour GOOD = new Behaviour(false, 0, 0, false, null);

  Behaviour cutTo(Integer rows) {
    return new Behaviour(offline, slowMillis, refuseRegister, protectedMemory, rows);
  }
}
