package arborline.core.tool.kind;

import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.SharpCorner;
import arborline.core.tool.rule.SquareToAxis;
import com.google.auto.service.AutoService;

/** End mill with a square corner. */
@AutoService(ToolClass.class)
public final class FlatEndMill extends DrawnClass {

  public FlatEndMill() {
    super(
        EndMills.sheet("end-mill-flat", "flat end mill")
            .also("end mill", "square end mill", "end mill square")
            .allows("RE", "KAPR")
            .defaults("NOF", "4")
            .defaults("FHA", "30")
            .defaults("KAPR", "90")
            .rules(new SquareToAxis(), new SharpCorner()),
        tool -> EndMills.outline(tool, 0));
  }
}
