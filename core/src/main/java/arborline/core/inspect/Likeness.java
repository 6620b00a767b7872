package arborline.core.inspect;

import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * How alike two tools are: of all that is said of either, the share that both say the same, what
 * only one says counting half.
 *
 * @param percent from 0 to 100; 0 for tools of different classes
 * @param differences values that are not the same
 */
public record Likeness(int percent, List<Difference> differences) {

  /** From here on two tools may be one. */
  public static final int LIKELY = 75;

  private static final BigDecimal SAME = new BigDecimal("0.001");
  private static final int WHOLE = 100;

  public Likeness {
    differences = List.copyOf(differences);
  }

  /**
   * A value that is not the same.
   *
   * @param field symbol, {@code NAME} or {@code NOTES}
   * @param here empty where nothing is said
   * @param there empty where nothing is said
   */
  public record Difference(String field, String here, String there) {}

  /** Compares two tools; sizes within a thousandth are the same. */
  public static Likeness of(Tool here, Tool there) {
    return of(here, there, SAME);
  }

  /** All that differs between two tools, however little. */
  public static List<Difference> differences(Tool here, Tool there) {
    return of(here, there, BigDecimal.ZERO).differences();
  }

  private static Likeness of(Tool here, Tool there, BigDecimal share) {
    List<Difference> differences = new ArrayList<>();
    Tool one = Completed.of(here).tool();
    Tool other = Completed.of(there).tool();
    Set<String> symbols = new TreeSet<>(one.values().keySet());
    symbols.addAll(other.values().keySet());
    int points = 0;
    for (String symbol : symbols) {
      Value mine = one.values().get(symbol);
      Value theirs = other.values().get(symbol);
      if (mine != null && theirs != null && same(one, other, symbol, share)) {
        points += 2;
        continue;
      }
      points += mine == null || theirs == null ? 1 : 0;
      boolean written = here.values().containsKey(symbol) || there.values().containsKey(symbol);
      if (written) {
        differences.add(new Difference(symbol, text(mine), text(theirs)));
      }
    }
    if (!here.name().equals(there.name())) {
      differences.add(new Difference("NAME", here.name(), there.name()));
    }
    if (!here.notes().equals(there.notes())) {
      differences.add(new Difference("NOTES", text(here), text(there)));
    }
    boolean alike = here.toolClass().equals(there.toolClass()) && !symbols.isEmpty();
    if (!here.toolClass().equals(there.toolClass())) {
      differences.add(new Difference("CLASS", here.toolClass(), there.toolClass()));
    }
    return new Likeness(alike ? points * WHOLE / (2 * symbols.size()) : 0, differences);
  }

  private static String text(Tool tool) {
    return String.join("; ", tool.notes().values());
  }

  private static String text(Value value) {
    return value == null ? "" : value.toString();
  }

  private static boolean same(Tool one, Tool other, String symbol, BigDecimal share) {
    BigDecimal mine = one.size(symbol);
    BigDecimal theirs = other.size(symbol);
    if (mine == null || theirs == null) {
      return one.values().get(symbol).text().equalsIgnoreCase(other.values().get(symbol).text());
    }
    BigDecimal apart = mine.subtract(theirs).abs();
    return apart.signum() == 0
        || apart.compareTo(mine.abs().multiply(share).setScale(9, RoundingMode.HALF_UP)) <= 0;
  }
}
