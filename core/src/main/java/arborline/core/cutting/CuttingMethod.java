package arborline.core.cutting;

import arborline.core.finding.Finding;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import java.util.List;
import java.util.Optional;

/** How one tool removes material: what is asked for, and what follows from it. */
public sealed interface CuttingMethod permits Milling, Drilling, Tapping, Turning {

  /** The way of a tool; empty where it cuts nothing by turning. */
  static Optional<CuttingMethod> of(Tool written) {
    Tool tool = Completed.of(written).tool();
    return ToolClasses.named(tool.toolClass())
        .flatMap(known ->
            switch (known.sheet().motion()) {
              case MILLS -> Optional.of(Milling.of(tool));
              case DRILLS -> Optional.of(Drilling.of(tool));
              case TAPS -> Optional.of(Tapping.of(tool));
              case TURNS -> Optional.of(Turning.of(tool));
              case STANDS -> Optional.empty();
            });
  }

  /** Largest rotation of the tool in 1/min; infinite where it states none. */
  double rpm();

  /** What is asked for beside the speed, in the order of a form. */
  List<CutInput> inputs();

  /** What is usual for what it does and for what its edges are made of. */
  UsualPractice practice();

  /** Usual feeds in a material, mm. */
  UsualRange feeds(WorkMaterial material);

  /** Depth, width and work diameter to begin with; speed and feed are as given. */
  CutRequest begin(double speed, double feed);

  /** Why a cut cannot be, or nothing where it can. */
  Optional<Finding> obstacle(CutRequest request);

  /** True where nobody chooses the feed, because it is the pitch of a thread. */
  default boolean feedIsPitch() {
    return !inputs().contains(CutInput.FEED_PER_TOOTH)
        && !inputs().contains(CutInput.FEED_PER_REVOLUTION);
  }

  /** True where the feed is counted per tooth, else it is per revolution. */
  default boolean feedPerTooth() {
    return inputs().contains(CutInput.FEED_PER_TOOTH);
  }

  /** Diameter in mm at which the speed is measured. */
  double diameter(CutRequest request);

  /** The feed that is really fed for a request, mm: as asked, but for threads. */
  default double feed(CutRequest request) {
    return request.feed();
  }

  /**
   * What follows at a speed in m/min, a rotation in 1/min and a feed in mm.
   *
   * @param request depth, width and work diameter; its speed and feed are not looked at
   */
  Load load(WorkMaterial material, double speed, double rotation, double feed, CutRequest request);

  /** Largest rotation that a sheet states, infinite without one. */
  static double rpm(Tool tool) {
    double stated = tool.approx("RPMX", 0);
    return stated > 0 ? stated : Double.POSITIVE_INFINITY;
  }

  static Optional<Finding> refused(String message, String... properties) {
    return Optional.of(Finding.hold("cut-request", message, properties));
  }
}
