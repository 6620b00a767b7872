package arborline.core.use;

import arborline.core.finding.Finding;
import arborline.core.machine.Machine;
import arborline.core.machine.Machine.Placed;
import arborline.core.storage.Station;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.turning.DrivenView;
import arborline.core.turning.EdgeClearances;
import arborline.core.turning.MountedFront;
import arborline.core.turning.MountedView;
import arborline.core.turning.Mounting;
import arborline.core.turning.Mounting.Hand;
import arborline.core.turning.Mounting.Work;
import arborline.core.turning.Orientation;
import arborline.core.turning.ToolOrientation;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says what follows from a use: tip orientation, sense of turning, clearances, how it looks. */
public final class UseReader {

  private static final BigDecimal HALFWAY = new BigDecimal("45");
  private static final double RIGHT_ANGLE = 90;

  private UseReader() {}

  /**
   * Reads a use of a tool in its block.
   *
   * @param block angle at which its block holds it, as {@link BlockAngle} says it
   */
  public static UseReading of(
      Machine machine, Placed placed, Tool written, ToolUse use, Optional<BigDecimal> block) {
    Tool tool = Completed.of(written).tool();
    UsePlace place = new UsePlace(machine, placed);
    List<Finding> findings = new ArrayList<>(UseCheck.of(place, tool, use, block));
    if (place.works().isEmpty()) {
      return milled(tool, use, findings);
    }
    return use.driven() ? driven(place, tool, use, findings) : held(place, tool, use, findings);
  }

  private static Hand hand(Tool tool) {
    return switch (tool.word("HAND").orElse("R")) {
      case "L" -> Hand.L;
      case "N" -> Hand.N;
      default -> Hand.R;
    };
  }

  private static String sense(Tool tool) {
    return hand(tool) == Hand.L ? "M4" : "M3";
  }

  private static UseReading milled(Tool tool, ToolUse use, List<Finding> findings) {
    return new UseReading(
        null, use.driven() ? sense(tool) : null, List.of(), null, null, null, null, findings);
  }

  /** A tool that turns itself: its tip points where it points, to the axis or to the chuck. */
  private static UseReading driven(UsePlace place, Tool tool, ToolUse use, List<Finding> findings) {
    boolean sub = place.sub(use.spindle());
    boolean along = use.angle().signum() == 0;
    boolean across = use.angle().doubleValue() == RIGHT_ANGLE;
    boolean inverted = place.station().filter(Station::inverted).isPresent();
    boolean right = sense(tool).equals("M3") != inverted;
    int tipX = across ? -1 : 0;
    int tipZ = along ? sub ? 1 : -1 : 0;
    ToolOrientation standing =
        new ToolOrientation("axis", "either", right ? "M3" : "M4", tipX, tipZ, Optional.empty());
    if (inverted) {
      findings.add(
          Finding.note(
              "sense-inverted", "this station turns against the sense that is programmed"));
    }
    return new UseReading(
        standing.orientation(),
        standing.spindle(),
        List.of(tipX, tipZ),
        null,
        null,
        Silhouettes.of(tool)
            .map(outline -> DrivenView.of(outline, use.angle().doubleValue(), place.side(), sub))
            .orElse(null),
        null,
        findings);
  }

  /** A tool that stands still at work that turns. */
  private static UseReading held(UsePlace place, Tool tool, ToolUse use, List<Finding> findings) {
    Mounting mounting =
        new Mounting(
            place.side(),
            false,
            place.sub(use.spindle()),
            false,
            use.angle().compareTo(HALFWAY) < 0,
            use.work(),
            use.work() == Work.CENTER && hand(tool) == Hand.N ? Hand.R : hand(tool),
            use.rakeUp());
    Optional<Finding> obstacle = Orientation.obstacle(mounting);
    if (obstacle.isPresent()) {
      findings.add(obstacle.get());
      return new UseReading(
          null, null, List.of(), null, EdgeClearances.of(tool).orElse(null), null, null, findings);
    }
    ToolOrientation standing = Orientation.of(mounting);
    standing.remark().ifPresent(remark -> findings.add(Finding.note("orientation-remark", remark)));
    boolean centre = use.setPoint() == SetPoint.NOSE_CENTRE;
    return new UseReading(
        centre ? 0 : standing.orientation(),
        standing.spindle(),
        centre ? List.of(0, 0) : List.of(standing.tipX(), standing.tipZ()),
        standing.feed(),
        EdgeClearances.of(tool).orElse(null),
        Silhouettes.of(tool)
            .map(outline -> MountedView.of(mounting, outline, mounting.hand() == Hand.L))
            .orElse(null),
        MountedFront.of(mounting, tool),
        findings);
  }
}
