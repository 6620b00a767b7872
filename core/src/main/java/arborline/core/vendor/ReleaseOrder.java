package arborline.core.vendor;

import java.math.BigInteger;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * Orders the names of releases as people read them: numbers by their size, what lies between them
 * by its letters. 2026-2 comes before 2026-10; signs between them mean nothing.
 */
public final class ReleaseOrder implements Comparator<String> {

  public static final ReleaseOrder OLDEST_FIRST = new ReleaseOrder();

  private static final Pattern PIECE = Pattern.compile("\\d+|\\p{L}+");

  private ReleaseOrder() {}

  @Override
  public int compare(String one, String other) {
    List<String> mine = pieces(one);
    List<String> theirs = pieces(other);
    for (int i = 0; i < Math.min(mine.size(), theirs.size()); i++) {
      int order = piece(mine.get(i), theirs.get(i));
      if (order != 0) {
        return order;
      }
    }
    return Integer.compare(mine.size(), theirs.size());
  }

  private static List<String> pieces(String release) {
    return PIECE
        .matcher(release.toLowerCase(Locale.ROOT))
        .results()
        .map(MatchResult::group)
        .toList();
  }

  private static int piece(String one, String other) {
    boolean numbers = Character.isDigit(one.charAt(0)) && Character.isDigit(other.charAt(0));
    return numbers ? new BigInteger(one).compareTo(new BigInteger(other)) : one.compareTo(other);
  }
}
