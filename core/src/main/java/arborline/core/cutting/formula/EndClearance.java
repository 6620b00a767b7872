package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Angle between the trailing edge and the turned face. */
@AutoService(CuttingQuantity.class)
public final class EndClearance implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("sec_clear", "deg", "180-KAPR-EPSR", in -> 180 - in.get("KAPR") - in.get("EPSR"))
          .needs("KAPR", "EPSR")
          .when(in -> in.get("KAPR") + in.get("EPSR") < 180, "end clearance must be > 0");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
