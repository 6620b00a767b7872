package arborline.core.cutting;

import arborline.core.tool.Tool;
import java.util.Optional;

/**
 * What is usual for a tool: by what it does and by what its edges are made of.
 *
 * @param cutter coated carbide where the sheet names nothing that is known
 * @param stated true where the sheet names it
 */
record UsualPractice(Operation operation, CutterMaterial cutter, boolean stated) {

  private static final double REFERENCE = 10;

  static UsualPractice of(Operation operation, Tool tool) {
    Optional<CutterMaterial> stated = tool.word("SUBSTRATE").flatMap(CutterMaterial::named);
    return new UsualPractice(
        operation, stated.orElse(CutterMaterial.all().getFirst()), stated.isPresent());
  }

  /** Usual cutting speeds in a material, m/min. */
  UsualRange speeds(WorkMaterial work) {
    return new UsualRange(work.speedLow(), work.speedHigh())
        .times(operation.speedShare(cutter, work));
  }

  /** Usual feeds of a tool that is used like a mill or a drill, grown with its diameter, mm. */
  UsualRange feeds(WorkMaterial work, double diameter) {
    return new UsualRange(work.feedLow(), work.feedHigh())
        .times(operation.feedShare(work) * Math.clamp(diameter / REFERENCE, 0.1, 3));
  }
}
