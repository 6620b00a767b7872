package arborline.core.cutting;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.List;

/**
 * Where somebody may begin with a tool in a material: the middle of the usual ranges. Depth one
 * diameter and width three tenths of it for whatever mills; neither for what feeds along its axis.
 *
 * @param speed vc, m/min
 * @param feed fz or fn, mm
 * @param findings what speaks against the pair of materials
 */
public record Start(
    double speed, double feed, double depth, double width, boolean drills, List<Finding> findings) {

  private static final double SIDE = 0.3;

  public static Start of(Tool tool, WorkMaterial work) {
    Edges edges = Edges.of(tool);
    CutterMaterial cutter = CutterMaterial.named(tool.word("SUBSTRATE").orElse(""));
    double speed = (work.speedLow() + work.speedHigh()) / 2 * cutter.speedShare();
    double feed = (work.least(edges) + work.most(edges)) / 2;
    return new Start(
        Math.rint(speed),
        Math.rint(feed * 1000) / 1000,
        edges.drills() ? 0 : edges.diameter(),
        edges.drills() ? 0 : Math.rint(edges.diameter() * SIDE * 100) / 100,
        edges.drills(),
        cutter.suits(work)
            ? List.of()
            : List.of(
                Finding.query(
                    "cutter-material",
                    "%s is not usual in group %s".formatted(cutter.name(), work.group()),
                    "SUBSTRATE")));
  }
}
