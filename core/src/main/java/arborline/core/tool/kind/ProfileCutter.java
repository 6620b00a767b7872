package arborline.core.tool.kind;

import arborline.core.tool.ClassSheet;
import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import arborline.core.tool.rule.ProfileSound;
import com.google.auto.service.AutoService;

/** Moulding cutter for edges. */
@AutoService(ToolClass.class)
public final class ProfileCutter extends DrawnClass {

  public ProfileCutter() {
    super(
        ClassSheet.named("router-profile", "profile cutter", Process.ROUTING)
            .also("edge cutter", "moulding cutter")
            .requires("DCX")
            .asks("PROFILE", "RPMX", "DMM", "OAL", "NOF")
            .replaces("DMM", "DCONMS")
            .replaces("OAL", "DCONMS")
            .allows("DCONMS", "DCN", "APMX", "LU", "DC")
            .defaults("NOF", "2")
            .rules(new ProfileSound()),
        Tapers::form);
  }
}
