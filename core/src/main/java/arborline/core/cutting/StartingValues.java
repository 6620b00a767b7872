package arborline.core.cutting;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.List;

/**
 * Where somebody may begin with a tool in a material: the middle of the usual ranges.
 *
 * @param asks what the way of cutting asks for beside the speed
 * @param findings what speaks against the pair of materials
 */
public record StartingValues(CutRequest wish, List<Ask> asks, List<Finding> findings) {

  public static StartingValues of(Tool tool, CuttingMethod way, WorkMaterial work) {
    CutterMaterial cutter = CutterMaterial.named(tool.word("SUBSTRATE").orElse(""));
    double speed =
        (work.speedLow() + work.speedHigh()) / 2 * cutter.speedShare() * way.speedShare();
    double feed = way.feeds(work).middle();
    return new StartingValues(
        way.begin(Math.rint(speed), Math.rint(feed * 1000) / 1000),
        way.asks(),
        cutter.suits(work)
            ? List.of()
            : List.of(
                Finding.query(
                    "cutter-material",
                    "%s is not usual in group %s".formatted(cutter.name(), work.group()),
                    "SUBSTRATE")));
  }
}
