package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Motion;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Designated;
import arborline.core.tool.rule.InsertAgrees;
import arborline.core.tool.rule.InsertGeometry;
import arborline.core.tool.rule.InsertNamed;
import com.google.auto.service.AutoService;

/** A cutting item on its own: what a holder carries. Source: ISO 1832. */
@AutoService(ToolClass.class)
public final class IndexableInsert extends DrawnClass {

  public IndexableInsert() {
    super(
        ClassSheet.named("insert", "indexable insert", Process.TURNING)
            .moving(Motion.STANDS)
            .also("turning insert", "cutting insert")
            .designatedBy("MIID")
            .requires("IC")
            .asks("SC", "S")
            .implies(Designated.byInsert("SC", "IC", "S", "RE", "L", "EPSR", "AN", "HAND"))
            .allows("RE", "L", "EPSR", "AN", "D1", "BS", "LE", "W1")
            .rules(new InsertAgrees(), new InsertGeometry(), new InsertNamed()),
        Turning::insert);
  }

  @Override
  public boolean cuttingItem() {
    return true;
  }
}
