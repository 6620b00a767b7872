package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Designated;
import arborline.core.tool.rule.EdgeAngleRange;
import arborline.core.tool.rule.InsertAgrees;
import arborline.core.tool.rule.InsertFitsSeat;
import arborline.core.tool.rule.InsertNamed;
import arborline.core.tool.rule.ShankAgrees;
import arborline.core.tool.rule.ShankNamed;
import arborline.core.tool.rule.ShankUpright;
import arborline.core.tool.rule.TrailingEdgeClear;
import com.google.auto.service.AutoService;

/** Holder and insert for outside turning and facing. */
@AutoService(ToolClass.class)
public final class ExternalTurningTool extends DrawnClass {

  public ExternalTurningTool() {
    super(
        ClassSheet.named("turning-external", "external turning tool", Process.TURNING)
            .also("turning tool", "turning holder")
            .designatedBy("SHANK", "MIID")
            .requires("KAPR", "H", "B")
            .asks("RE", "WF", "LF", "HAND")
            .implies(
                Designated.byShank(
                    "KAPR", "PSIR", "HAND", "H", "B", "HF", "WF", "LF", "MTP", "SSC"))
            .implies(Designated.byInsert("RE", "EPSR", "SC", "IC", "L", "S", "AN"))
            .implies(Designated.byShank("SC", "AN", "IC"))
            .allows("LH", "SC", "EPSR", "IC", "L", "S", "AN", "PSIR", "HF", "MTP", "SSC")
            .defaults("RE", "0.8")
            .defaults("HAND", "R")
            .rules(
                new ShankUpright(),
                new EdgeAngleRange(),
                new InsertAgrees(),
                new InsertNamed(),
                new ShankAgrees(),
                new ShankNamed(),
                new InsertFitsSeat(),
                new TrailingEdgeClear()),
        Turning::external);
  }
}
