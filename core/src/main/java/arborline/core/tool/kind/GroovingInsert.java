package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.tool.rule.GrooveCorner;
import com.google.auto.service.AutoService;
import java.util.List;

/** A cutting item for grooves and for parting off: a narrow blade with its edge in front. */
@AutoService(ToolClass.class)
public final class GroovingInsert extends DrawnClass {

  private static final double USUAL_LENGTH = 6;

  public GroovingInsert() {
    super(
        ClassSheet.named("insert-grooving", "grooving insert", Process.TURNING)
            .moving(Motion.STANDS)
            .also("parting insert", "parting-off insert", "cut-off insert")
            .requires("CW")
            .asks("RE")
            .allows("CDX", "L", "S", "REL", "RER", "PSIR", "SSC")
            .rules(new GrooveCorner()),
        GroovingInsert::blade);
  }

  private static Outline blade(Tool tool) {
    double width = tool.approx("CW", 3);
    double length = tool.approx("L", USUAL_LENGTH * width);
    double half = width / 2;
    double back = 0.8 * half;
    OutlineBuilder outline = OutlineBuilder.of(tool, length);
    return outline
        .flat(
            Part.Kind.BODY,
            List.of(
                new Point(0, -back),
                new Point(length - width, -back),
                new Point(length - width, back),
                new Point(0, back)))
        .flat(
            Part.Kind.CUTTING,
            List.of(
                new Point(length - width, -half),
                new Point(length, -half),
                new Point(length, half),
                new Point(length - width, half)))
        .across("CW", length - half, width)
        .along("L", 0, length)
        .build();
  }

  @Override
  public boolean cuttingItem() {
    return true;
  }
}
