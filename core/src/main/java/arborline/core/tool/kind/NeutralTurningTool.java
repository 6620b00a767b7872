package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Designated;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.EdgeAngleRange;
import arborline.core.tool.rule.InsertAgrees;
import arborline.core.tool.rule.InsertFitsSeat;
import arborline.core.tool.rule.InsertNamed;
import arborline.core.tool.rule.NeutralSymmetric;
import arborline.core.tool.rule.ShankAgrees;
import arborline.core.tool.rule.ShankNamed;
import arborline.core.tool.rule.ShankUpright;
import arborline.core.tool.rule.TrailingEdgeClear;
import com.google.auto.service.AutoService;

/** Holder whose insert points straight ahead. */
@AutoService(ToolClass.class)
public final class NeutralTurningTool extends DrawnClass {

  public NeutralTurningTool() {
    super(
        ClassSheet.named("turning-neutral", "neutral turning tool", Process.TURNING)
            .also("profiling tool neutral")
            .designatedBy("SHANK", "MIID")
            .requires("H", "B")
            .asks("KAPR", "EPSR", "RE", "LF")
            .implies(Designated.byInsert("RE", "EPSR", "SC", "IC", "L", "S", "AN"))
            .implies(
                Designated.byShank(
                    "H", "B", "HF", "LF", "HAND", "SC", "AN", "IC", "EPSR", "MTP", "SSC"))
            .implies(Shapes.neutral())
            .allows("SC", "IC", "L", "S", "AN", "WF", "HF", "MTP", "SSC")
            .defaults("HAND", "N")
            .defaults("RE", "0.4")
            .rules(
                new ShankUpright(),
                new EdgeAngleRange(),
                new InsertAgrees(),
                new InsertNamed(),
                new ShankAgrees(),
                new ShankNamed(),
                new InsertFitsSeat(),
                new TrailingEdgeClear(),
                new NeutralSymmetric()),
        Turning::neutral);
  }
}
