package arborline.shop;

/**
 * How a control misbehaves.
 *
 * @param offline drops every connection
 * @param slowMillis waits before every answer
 * @param refuseRegister tool number whose offsets it refuses; 0 for none
 * @param protectedMemory refuses all writing
 * @param cutAfterRows drops the connection after so many rows, once; negative for never
 */
public record Behaviour(
    boolean offline,
    long slowMillis,
    int refuseRegister,
    boolean protectedMemory,
    int cutAfterRows) {

  static final Behaviour GOOD = new Behaviour(false, 0, 0, false, -1);

  Behaviour cutTo(int rows) {
    return new Behaviour(offline, slowMillis, refuseRegister, protectedMemory, rows);
  }
}
