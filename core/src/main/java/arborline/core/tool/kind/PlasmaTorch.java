package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.LeadInCoversKerf;
import com.google.auto.service.AutoService;

/** Cuts with a plasma jet. */
@AutoService(ToolClass.class)
public final class PlasmaTorch extends DrawnClass {

  public PlasmaTorch() {
    super(
        ClassSheet.named("jet-plasma", "plasma nozzle", Process.JET)
            .also("plasma head")
            .requires("KERF")
            .asks("NOZZLE", "STANDOFF")
            .allows("PIERCE", "GAS", "LEADIN", "LF")
            .rules(new LeadInCoversKerf()),
        Boring::nozzle);
  }
}
