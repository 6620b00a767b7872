package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Torque at the spindle. */
@AutoService(CuttingQuantity.class)
public final class Torque implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "torque",
              "N.m",
              "30000*P/(pi*n)",
              in -> 30000 * in.get("P") / (Math.PI * in.get("n")))
          .needs("P", "n");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
