package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.rule.TapDrill;
import arborline.core.tool.rule.ThreadPitch;
import com.google.auto.service.AutoService;

/** Cuts an internal thread. */
@AutoService(ToolClass.class)
public final class CuttingTap implements ToolClass {

  private static final double LEAD_IN_PITCHES = 3;

  private static final ClassSheet SHEET =
      ClassSheet.named("tap-cutting", "cutting tap", Process.THREADING)
          .also("tap", "machine tap")
          .requires("DC", "TD", "TP", "TDZ", "THCHT", "DMM", "OAL")
          .allows("APMX", "TCTR", "PHD", "DRVS", "LU", "LCF", "NOF", "DN", "LN")
          .defaults("THCHT", "C")
          .defaults("TCTR", "6H")
          .rules(new ThreadPitch(), new TapDrill())
          .build();

  @Override
  public ClassSheet sheet() {
    return SHEET;
  }

  @Override
  public Outline outline(Tool tool) {
    double diameter = tool.approx("TD", tool.approx("DC", 1));
    return Fluted.outline(
        tool, diameter, "TD", LEAD_IN_PITCHES * tool.approx("TP", diameter * 0.15));
  }
}
