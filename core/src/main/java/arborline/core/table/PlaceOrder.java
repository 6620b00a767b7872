package arborline.core.table;

import java.util.Comparator;

/** Orders places as people count them: 2 before 10, names after numbers. */
public final class PlaceOrder {

  public static final Comparator<String> BY_NUMBER =
      (one, other) ->
          one.length() == other.length()
              ? one.compareTo(other)
              : Integer.compare(one.length(), other.length());

  private static final int RANKED = Long.BYTES - 1;
  private static final int MOST = (1 << Byte.SIZE) - 1;

  private PlaceOrder() {}

  /**
   * A number that never orders two places otherwise than {@link #BY_NUMBER} does: their length and
   * their first characters, up to one that takes more than a byte. Places of one rank are still to
   * be compared.
   */
  static long rank(String place) {
    long rank = Math.min(place.length(), Byte.MAX_VALUE);
    boolean told = true;
    for (int i = 0; i < RANKED; i++) {
      int character = told && i < place.length() ? Math.min(place.charAt(i), MOST) : 0;
      told &= character < MOST;
      rank = rank << Byte.SIZE | character;
    }
    return rank;
  }
}
