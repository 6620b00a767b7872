package arborline.core.solid.shape;

import java.util.DoubleSummaryStatistics;
import java.util.List;

/** Patches that go all the way around. */
final class Turns {

  /**
   * Where patches begin that go all the way around: not where files like to cut them, as what is
   * looked for would lie on the cut.
   */
  static final double START = 0.1234;

  private Turns() {}

  /** Once around a frame's z, from the lowest to the highest point. */
  static Patch whole(Placement frame, List<Vector3> boundary) {
    DoubleSummaryStatistics z =
        boundary.stream().mapToDouble(point -> frame.local(point).z()).summaryStatistics();
    return z.getCount() == 0
        ? new Patch(START, START + 2 * Math.PI, 0, 0)
        : new Patch(START, START + 2 * Math.PI, z.getMin(), z.getMax());
  }
}
