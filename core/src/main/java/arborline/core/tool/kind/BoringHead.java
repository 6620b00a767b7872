package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.EdgeAngleRange;
import arborline.core.tool.rule.InsertAgrees;
import arborline.core.tool.rule.InsertNamed;
import arborline.core.tool.rule.TipSmallerThanBody;
import com.google.auto.service.AutoService;

/** Rotating bar that bores to an adjusted diameter. */
@AutoService(ToolClass.class)
public final class BoringHead extends DrawnClass {

  public BoringHead() {
    super(
        ClassSheet.named("boring-head", "boring head", Process.HOLE_MAKING)
            .moving(Motion.TURNS)
            .also("boring bar rotating", "fine boring head")
            .requires("DCN", "DCX")
            .asks("KAPR", "RE", "DMM", "LF")
            .allows("DC", "CEDC", "MIID", "LU", "OAL")
            .defaults("KAPR", "92")
            .defaults("CEDC", "1")
            .rules(
                new TipSmallerThanBody(),
                new EdgeAngleRange(),
                new InsertAgrees(),
                new InsertNamed()),
        Boring::outline);
  }
}
