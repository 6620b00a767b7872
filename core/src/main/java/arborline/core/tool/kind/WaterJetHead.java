package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.LeadInCoversKerf;
import com.google.auto.service.AutoService;

/** Cuts with a jet of water, with or without abrasive. */
@AutoService(ToolClass.class)
public final class WaterJetHead extends DrawnClass {

  public WaterJetHead() {
    super(
        ClassSheet.named("jet-water", "water-jet nozzle", Process.JET)
            .also("water-jet head")
            .requires("KERF")
            .asks("NOZZLE", "STANDOFF")
            .allows("PIERCE", "ABRASIVE", "CP", "LEADIN", "LF")
            .rules(new LeadInCoversKerf()),
        Boring::nozzle);
  }
}
