package arborline.core.machine;

/**
 * Places that a tool of no round shape covers beside its own, as somebody states them; what its
 * diameter says does not count then. It has to stand in its holder the same way each time.
 *
 * @param plus towards higher places
 * @param minus towards lower places
 */
public record Overlap(int plus, int minus) {

  /** So many on one side at most. */
  public static final int MOST = 20;

  /** True where such an overlap can be. */
  public boolean possible() {
    return plus >= 0 && plus <= MOST && minus >= 0 && minus <= MOST;
  }
}
