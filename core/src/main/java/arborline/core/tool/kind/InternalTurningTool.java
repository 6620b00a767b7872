package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Designated;
import arborline.core.tool.rule.BarClearsBore;
import arborline.core.tool.rule.BoreWideEnough;
import arborline.core.tool.rule.EdgeAngleRange;
import arborline.core.tool.rule.InsertAgrees;
import arborline.core.tool.rule.InsertFitsSeat;
import arborline.core.tool.rule.InsertNamed;
import arborline.core.tool.rule.ShankAgrees;
import arborline.core.tool.rule.ShankNamed;
import arborline.core.tool.rule.TrailingEdgeClear;
import com.google.auto.service.AutoService;

/** Boring bar with an insert for inside turning. */
@AutoService(ToolClass.class)
public final class InternalTurningTool extends DrawnClass {

  public InternalTurningTool() {
    super(
        ClassSheet.named("turning-internal", "boring bar", Process.TURNING)
            .also("internal turning tool")
            .designatedBy("SHANK", "MIID")
            .requires("KAPR", "DMM")
            .asks("RE", "WF", "DMIN", "LF", "HAND")
            .implies(Designated.byShank("KAPR", "PSIR", "HAND", "DMM", "LF", "MTP", "SSC"))
            .implies(Designated.byInsert("RE", "EPSR", "SC", "IC", "L", "S", "AN"))
            .implies(Designated.byShank("SC", "AN", "IC"))
            .allows("OHX", "SC", "EPSR", "IC", "L", "S", "AN", "PSIR", "MTP", "SSC")
            .defaults("RE", "0.4")
            .defaults("HAND", "R")
            .rules(
                new EdgeAngleRange(),
                new InsertAgrees(),
                new InsertNamed(),
                new ShankAgrees(),
                new ShankNamed(),
                new InsertFitsSeat(),
                new TrailingEdgeClear(),
                new BoreWideEnough(),
                new BarClearsBore()),
        Turning::internal);
  }
}
