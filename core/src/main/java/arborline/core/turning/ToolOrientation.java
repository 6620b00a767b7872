package arborline.core.turning;

import java.util.Optional;

/**
 * How a mounted tool stands to the work.
 *
 * @param contact {@code front}, {@code rear} or {@code axis}
 * @param feed {@code toward_chuck}, {@code away_from_chuck}, {@code toward_axis}, {@code
 *     away_from_axis} or {@code either}
 * @param spindle {@code M3} or {@code M4}
 * @param tipX direction from nose centre to imaginary tip along program X: -1, 0 or 1
 * @param tipZ the same along program Z
 * @param remark what a user should know about it
 */
public record ToolOrientation(
    String contact, String feed, String spindle, int tipX, int tipZ, Optional<String> remark) {

  private static final int[][] CODES = {{3, 8, 4}, {7, 0, 5}, {2, 6, 1}};

  /** Tip orientation code 0 to 8, as usually numbered by controls; a control can map it. */
  public int orientation() {
    return CODES[tipX + 1][tipZ + 1];
  }
}
