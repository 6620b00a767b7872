package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.implied.Same;
import arborline.core.tool.implied.Shapes;
import arborline.core.tool.rule.ArborWithinFaceMill;
import arborline.core.tool.rule.BoreWithinBody;
import arborline.core.tool.rule.DiameterWithinLargest;
import arborline.core.tool.rule.EdgesWithinFlutes;
import arborline.core.tool.rule.FaceMillDiameters;
import com.google.auto.service.AutoService;

/** Disc with inserts on its face, hung on an arbor. */
@AutoService(ToolClass.class)
public final class FaceMill extends DrawnClass {

  public FaceMill() {
    super(
        ClassSheet.named("face-mill", "face mill", Process.MILLING)
            .requires("DC")
            .asks("DCX", "KAPR", "APMX", "DCONMS", "CICT", "LF")
            .replaces("LF", "OAL")
            .implies(Shapes.face())
            .implies(new Same("CICT", "ZEFP"))
            .implies(new Same("CICT", "NOF"))
            .allows("BD", "RE", "ZEFP", "MIID", "OAL", "NOF")
            .defaults("KAPR", "45")
            .rules(
                new BoreWithinBody(),
                new ArborWithinFaceMill(),
                new DiameterWithinLargest(),
                new FaceMillDiameters(),
                new EdgesWithinFlutes()),
        FaceMills::outline);
  }
}
