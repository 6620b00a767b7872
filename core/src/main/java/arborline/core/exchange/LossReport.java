package arborline.core.exchange;

import java.util.ArrayList;
import java.util.List;

/** What a file will not carry exactly; kept short by counting after the first thousand. */
public final class LossReport {

  private static final int LISTED = 1000;

  private final List<Loss> losses = new ArrayList<>();
  private int count;

  /**
   * One value that is dropped or changed.
   *
   * @param code the tool
   * @param symbol the property
   * @param how what happens to it
   */
  public record Loss(String code, String symbol, String how) {}

  public void add(String code, String symbol, String how) {
    count++;
    if (losses.size() < LISTED) {
      losses.add(new Loss(code, symbol, how));
    }
  }

  /** All of them, listed or not. */
  public int count() {
    return count;
  }

  public List<Loss> losses() {
    return List.copyOf(losses);
  }
}
