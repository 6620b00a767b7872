package arborline.core.merge;

import java.util.Optional;
import java.util.Set;

/**
 * A line of cutting data. It is one field: origin, speed and feed belong together and are never
 * mixed from two sides.
 *
 * @param origin {@code catalogue}, {@code calculated}, {@code fixed} or {@code proven}
 * @param vc cutting speed
 * @param fz feed per tooth
 * @param by who proved it, when and where
 */
public record CuttingLineField(
    String origin, Optional<Amount> vc, Optional<Amount> fz, Optional<String> by)
    implements MergeField {

  private static final String PROVEN = "proven";
  private static final Set<String> OUTWEIGHED = Set.of("catalogue", "calculated");

  @Override
  public boolean sameSize(MergeField other) {
    return other instanceof CuttingLineField line
        && origin.equals(line.origin)
        && by.equals(line.by)
        && same(vc, line.vc)
        && same(fz, line.fz);
  }

  private static boolean same(Optional<Amount> one, Optional<Amount> other) {
    return one.isPresent() && other.isPresent()
        ? one.get().sameSize(other.get())
        : one.equals(other);
  }

  @Override
  public boolean outweighs(MergeField other) {
    return other instanceof CuttingLineField line
        && origin.equals(PROVEN)
        && OUTWEIGHED.contains(line.origin);
  }
}
