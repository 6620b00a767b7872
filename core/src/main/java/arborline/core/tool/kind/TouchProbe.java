package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Usual;
import arborline.core.tool.rule.NeckSmallerThanCutter;
import arborline.core.tool.rule.ProbeStandsStill;
import arborline.core.tool.rule.UsableWithinTool;
import com.google.auto.service.AutoService;

/** Measures by touching; its spindle never turns. */
@AutoService(ToolClass.class)
public final class TouchProbe extends DrawnClass {

  public TouchProbe() {
    super(
        ClassSheet.named("probe-touch", "touch probe", Process.PROBING)
            .also("probe", "stylus")
            .requires("DC")
            .asks("LU", "LF", "RPMX")
            .replaces("LF", "OAL")
            .implies(Usual.of("RPMX", "0"))
            .allows("DN", "DMM", "OAL", "BD")
            .defaults("RPMX", "0")
            .rules(new ProbeStandsStill(), new NeckSmallerThanCutter(), new UsableWithinTool()),
        Boring::probe);
  }
}
