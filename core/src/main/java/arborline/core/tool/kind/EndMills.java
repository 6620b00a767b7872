package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.implied.CylindricalShank;
import arborline.core.tool.implied.Same;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.OutlineBuilder;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.tool.rule.ChamferWithinDiameter;
import arborline.core.tool.rule.DepthWithinFlutes;
import arborline.core.tool.rule.DepthWithinNeck;
import arborline.core.tool.rule.DepthWithinUsableLength;
import arborline.core.tool.rule.EdgesWithinFlutes;
import arborline.core.tool.rule.FlutesWithinTool;
import arborline.core.tool.rule.NeckClear;
import arborline.core.tool.rule.ReachWithinTool;
import arborline.core.tool.rule.UsableWithinTool;
import java.util.ArrayList;
import java.util.List;

/** What all end mills share. */
final class EndMills {

  private EndMills() {}

  static ClassSheet.Builder sheet(String id, String title) {
    return ClassSheet.named(id, title, Process.MILLING)
        .requires("DC")
        .asks("APMX", "DMM", "OAL", "NOF")
        .replaces("OAL", "LF")
        .implies(new Same("APMX", "LCF"))
        .implies(new Same("NOF", "ZEFP"))
        .implies(CylindricalShank.sizes())
        .implies(new Same("LN", "LU", "DN"))
        .allows("LU", "LCF", "LN", "DN", "LF", "CHW", "RMPX")
        .rules(
            new ChamferWithinDiameter(),
            new EdgesWithinFlutes(),
            new DepthWithinNeck(),
            new DepthWithinUsableLength(),
            new DepthWithinFlutes(),
            new FlutesWithinTool(),
            new ReachWithinTool(),
            new UsableWithinTool(),
            new NeckClear());
  }

  /** The outline of an end mill whose corner has the given radius. */
  static Outline outline(Tool tool, double cornerRadius) {
    OutlineBuilder outline = OutlineBuilder.of(tool);
    String widest = tool.has("DC") ? "DC" : "DCX";
    double diameter = tool.approx(widest, 1);
    double tip = outline.length();
    double depth = Math.min(tool.approx("APMX", 1.5 * diameter), tip);
    double radius = Math.min(cornerRadius, diameter / 2);
    List<Point> edge = new ArrayList<>();
    edge.add(new Point(tip - depth, diameter / 2));
    edge.addAll(
        radius > 0
            ? OutlineBuilder.corner(tip, diameter / 2, Math.min(radius, depth))
            : List.of(new Point(tip, diameter / 2)));
    outline.shankAndNeck(tip - depth, diameter).shaped(Part.Kind.CUTTING, edge);
    outline.across(widest, tip - depth / 2, diameter).along("APMX", tip - depth, tip);
    if (radius > 0) {
      outline.radius("RE", tip - radius * 0.3, diameter / 2 - radius * 0.3);
    }
    return outline.build();
  }
}
