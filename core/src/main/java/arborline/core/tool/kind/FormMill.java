package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.ProfileSound;
import com.google.auto.service.AutoService;

/** Cutter with a profile of its own. */
@AutoService(ToolClass.class)
public final class FormMill extends DrawnClass {

  public FormMill() {
    super(
        ClassSheet.named("form-mill", "form mill", Process.MILLING)
            .also("profile mill", "form cutter")
            .requires("DCX")
            .asks("PROFILE", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .replaces("OAL", "DCONMS")
            .allows("DCONMS", "DC", "DCN", "APMX", "LU")
            .defaults("NOF", "2")
            .rules(new ProfileSound()),
        Tapers::form);
  }
}
