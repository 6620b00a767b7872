package arborline.core.duplicate;

import arborline.core.duplicate.ComparedTool.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How sure it is that two tools are one, and by what. Each thing that speaks for it has a weight;
 * together they speak as independent witnesses do, 1 - (1 - a)(1 - b); what speaks against it takes
 * its share away.
 *
 * @param percent from 0 to 100
 */
public record Resemblance(int percent, List<Reason> reasons) {

  /** From here on a person is asked. */
  public static final int ASKED = 50;

  private static final double VENDOR_ITEM = 0.9;
  private static final double SHAPE = 0.9;
  private static final double SPELLING = 0.7;
  private static final double NAME = 0.15;
  private static final double OTHER_ITEM = 0.6;
  private static final double OTHER_CLASS = 0.5;
  private static final double ALL_SIZES_OTHER = 0.35;
  private static final double ONE_OF_MANY_OTHER = 0.85;
  private static final double OTHER_HAND = 0.2;
  private static final double OTHER_WORD = 0.65;
  private static final int LEAST_SIZES = 3;
  private static final int WHOLE = 100;

  public Resemblance {
    reasons = List.copyOf(reasons);
  }

  /** A thing that speaks for or against. */
  public enum Kind {
    SAME_VENDOR_ITEM(true),
    SAME_SHAPE(true),
    SAME_CODE_SPELT_OTHERWISE(true),
    SAME_NAME(true),
    OTHER_VENDOR_ITEM(false),
    OTHER_CLASS(false),
    OTHER_SIZES(false),
    OTHER_WORDS(false);

    private final boolean speaksFor;

    Kind(boolean speaksFor) {
      this.speaksFor = speaksFor;
    }

    public boolean speaksFor() {
      return speaksFor;
    }
  }

  /**
   * One of them.
   *
   * @param symbols of the sizes or words that it is about
   */
  public record Reason(Kind kind, List<String> symbols) {
    public Reason {
      symbols = List.copyOf(symbols);
    }
  }

  /** How sizes of two tools compare. */
  private static final class Sizes {
    private int same;
    private int stated;
    private final List<String> other = new ArrayList<>();

    private static Sizes of(ComparedTool one, ComparedTool two, Tolerance tolerance) {
      Sizes sizes = new Sizes();
      List<Size> left = one.sizes();
      List<Size> right = two.sizes();
      int i = 0;
      int j = 0;
      while (i < left.size() && j < right.size()) {
        Size mine = left.get(i);
        Size theirs = right.get(j);
        int order = mine.symbol().compareTo(theirs.symbol());
        if (order == 0) {
          long apart = Math.abs(mine.millionths() - theirs.millionths());
          if (apart <= tolerance.of(mine.kind())) {
            sizes.same++;
          } else {
            sizes.other.add(mine.symbol());
          }
        }
        i += order <= 0 ? 1 : 0;
        j += order >= 0 ? 1 : 0;
      }
      sizes.stated = left.size() + right.size();
      return sizes;
    }

    /** What other sizes leave: the more, the more sizes are the same. */
    private double left() {
      return ALL_SIZES_OTHER + (ONE_OF_MANY_OTHER - ALL_SIZES_OTHER) * same / (same + other.size());
    }

    private Optional<Double> weight() {
      return other.isEmpty() && same >= LEAST_SIZES
          ? Optional.of(SHAPE * 2 * same / stated)
          : Optional.empty();
    }
  }

  /** Compares two tools. */
  public static Resemblance of(ComparedTool one, ComparedTool two, Tolerance tolerance) {
    List<Reason> reasons = new ArrayList<>();
    boolean sameClass = one.toolClass().equals(two.toolClass());
    Sizes sizes = Sizes.of(one, two, tolerance);
    double doubt = 1;
    Optional<Double> shape = sameClass ? sizes.weight() : Optional.empty();
    if (shape.isPresent()) {
      doubt *= 1 - shape.get();
      reasons.add(new Reason(Kind.SAME_SHAPE, List.of()));
    }
    boolean vendorKnown = !one.vendorItem().isEmpty() && one.vendor().equals(two.vendor());
    boolean sameItem = vendorKnown && one.vendorItem().equals(two.vendorItem());
    if (sameItem) {
      doubt *= 1 - VENDOR_ITEM;
      reasons.add(new Reason(Kind.SAME_VENDOR_ITEM, List.of()));
    }
    if (one.spelling().equals(two.spelling())) {
      doubt *= 1 - SPELLING;
      reasons.add(new Reason(Kind.SAME_CODE_SPELT_OTHERWISE, List.of()));
    }
    if (!one.name().isEmpty() && one.name().equals(two.name())) {
      doubt *= 1 - NAME;
      reasons.add(new Reason(Kind.SAME_NAME, List.of()));
    }
    double share = against(one, two, sizes, sameClass, vendorKnown && !sameItem, reasons);
    return new Resemblance((int) Math.round((1 - doubt) * share * WHOLE), reasons);
  }

  private static double against(
      ComparedTool one,
      ComparedTool two,
      Sizes sizes,
      boolean sameClass,
      boolean otherItem,
      List<Reason> reasons) {
    double share = 1;
    if (otherItem) {
      share *= OTHER_ITEM;
      reasons.add(new Reason(Kind.OTHER_VENDOR_ITEM, List.of()));
    }
    if (!sameClass) {
      share *= OTHER_CLASS;
      reasons.add(new Reason(Kind.OTHER_CLASS, List.of()));
    }
    if (!sizes.other.isEmpty()) {
      share *= sizes.left();
      reasons.add(new Reason(Kind.OTHER_SIZES, sizes.other));
    }
    List<String> words = new ArrayList<>();
    for (String symbol : ComparedTool.TELLING) {
      String mine = one.words().get(symbol);
      String theirs = two.words().get(symbol);
      if (mine != null && theirs != null && !mine.equals(theirs)) {
        words.add(symbol);
        share *= symbol.equals("HAND") ? OTHER_HAND : OTHER_WORD;
      }
    }
    if (!words.isEmpty()) {
      reasons.add(new Reason(Kind.OTHER_WORDS, words));
    }
    return share;
  }
}
