package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Spindle speed from surface feet per minute and inches. */
@AutoService(CuttingQuantity.class)
public final class SpindleSpeedInch implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "n_rpm_inch",
              "1/min",
              "12*sfm/(pi*D_in)",
              in -> 12 * in.get("sfm") / (Math.PI * in.get("D")))
          .needs("sfm", "D");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
