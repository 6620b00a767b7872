package arborline.core.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a file will not carry exactly: all of it counted by what happens to which property, the
 * first thousand one by one.
 */
public final class LossReport {

  private static final int LISTED = 1000;
  private static final int EXAMPLES = 3;

  private final List<Loss> losses = new ArrayList<>();
  private final Map<Group, Counted> groups = new LinkedHashMap<>();
  private final List<Absent> absent = new ArrayList<>();
  private int count;

  /**
   * Something that a tool needs and that is nowhere, so that no file can carry it.
   *
   * @param code the tool
   * @param what as {@code insert CNMG 120408}
   */
  public record Absent(String code, String what) {}

  /** What happens to a value. */
  public enum Kind {
    DROPPED,
    ROUNDED,
    CHANGED
  }

  /**
   * One value that is dropped or changed.
   *
   * @param code the tool
   * @param symbol the property
   * @param how what happens to it
   */
  public record Loss(Kind kind, String code, String symbol, String how) {}

  private record Group(Kind kind, String symbol, String what) {}

  private static final class Counted {
    private int count;
    private final List<String> examples = new ArrayList<>(EXAMPLES);
  }

  /**
   * All losses of one kind in one property.
   *
   * @param what happens to the values
   * @param examples codes of the first tools
   */
  public record LossGroup(
      Kind kind, String symbol, String what, int count, List<String> examples) {}

  /** Something that has no place in the file. */
  public void dropped(String code, String symbol, String how) {
    add(new Loss(Kind.DROPPED, code, symbol, how), how);
  }

  /** Something that a tool needs and that is nowhere; no loss of the format. */
  public void absent(String code, String what) {
    if (absent.size() < LISTED) {
      absent.add(new Absent(code, what));
    }
  }

  /** The first thousand that are nowhere. */
  public List<Absent> absent() {
    return List.copyOf(absent);
  }

  /**
   * Adds a loss.
   *
   * @param what happens, without the value itself
   */
  public void add(Loss loss, String what) {
    count++;
    Counted counted =
        groups.computeIfAbsent(new Group(loss.kind(), loss.symbol(), what), key -> new Counted());
    counted.count++;
    if (counted.examples.size() < EXAMPLES) {
      counted.examples.add(loss.code());
    }
    if (losses.size() < LISTED) {
      losses.add(loss);
    }
  }

  /** All of them, listed or not. */
  public int count() {
    return count;
  }

  public List<Loss> losses() {
    return List.copyOf(losses);
  }

  /** All of them by what happens, the most first. */
  public List<LossGroup> groups() {
    return groups.entrySet().stream()
        .map(entry ->
            new LossGroup(
                entry.getKey().kind(),
                entry.getKey().symbol(),
                entry.getKey().what(),
                entry.getValue().count,
                List.copyOf(entry.getValue().examples)))
        .sorted(Comparator.comparingInt(LossGroup::count).reversed())
        .toList();
  }
}
