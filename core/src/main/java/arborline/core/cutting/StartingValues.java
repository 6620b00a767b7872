package arborline.core.cutting;

import arborline.core.finding.Finding;
import java.util.List;

/**
 * Where somebody may begin with a tool in a material: the middle of the usual ranges.
 *
 * @param asks what the method of cutting asks for beside the speed
 * @param findings what speaks against the pair of materials
 */
public record StartingValues(CutRequest request, List<CutInput> inputs, List<Finding> findings) {

  public static StartingValues of(CuttingMethod method, WorkMaterial work) {
    double speed = method.practice().speeds(work).middle();
    double feed = method.feeds(work).middle();
    return new StartingValues(
        method.begin(Math.rint(speed), Math.rint(feed * 1000) / 1000),
        method.inputs(),
        findings(method.practice(), work));
  }

  private static List<Finding> findings(UsualPractice practice, WorkMaterial work) {
    if (!practice.stated()) {
      return List.of(
          Finding.note(
              "cutter-material",
              "the sheet does not say what the edges are made of: this is for %s"
                  .formatted(practice.cutter().name()),
              "SUBSTRATE"));
    }
    return practice.cutter().suits(work)
        ? List.of()
        : List.of(
            Finding.query(
                "cutter-material",
                "%s is not usual in group %s".formatted(practice.cutter().name(), work.group()),
                "SUBSTRATE"));
  }
}
