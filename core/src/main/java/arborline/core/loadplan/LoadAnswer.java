package arborline.core.loadplan;

import java.util.List;
import java.util.Map;

/**
 * What came out.
 *
 * @param feasible true where all tools can be in
 * @param placement what stands where then; where not all can be in, what would with those left out
 * @param moves in the order in which they can be made
 * @param leastMoves fewer than this is impossible; the number of moves where that is proved
 * @param obstacles why not all can be in; empty where they can
 * @param leftOut the fewest tools without which the rest can be in; empty where all can
 */
public record LoadAnswer(
    boolean feasible,
    Map<LoadPlace, String> placement,
    List<LoadMove> moves,
    int leastMoves,
    List<LoadObstacle> obstacles,
    List<String> leftOut) {

  /** True where fewer moves are proved impossible. */
  public boolean optimal() {
    return feasible && moves.size() == leastMoves;
  }

  /** This, unless another needs fewer moves. */
  LoadAnswer orFewer(LoadAnswer other) {
    return other.moves.size() < moves.size() ? other : this;
  }
}
