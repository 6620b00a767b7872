package arborline.core.loadplan;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.TreeMap;

/** Makes moves one after the other, and complains of one that cannot be made. */
final class Replay {

  private Replay() {}

  static Map<LoadPlace, String> of(LoadProblem problem, Iterable<LoadMove> moves) {
    Map<LoadPlace, String> now = new TreeMap<>(problem.present());
    for (LoadMove move : moves) {
      move.from().ifPresent(from -> assertEquals(move.tool(), now.remove(from)));
      move.to()
          .ifPresent(to -> {
            assertNull(now.put(to, move.tool()), "somebody stands there: " + move);
            assertTrue(SmallLoads.allowed(problem, now), "blocked at " + move);
          });
    }
    return now;
  }
}
