package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Torque in drilling. */
@AutoService(CuttingQuantity.class)
public final class DrillTorque implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "M_drill",
              "N.m",
              "kc*fn*D^2/8000",
              in -> in.get("kc") * in.get("fn") * in.get("D") * in.get("D") / 8000)
          .needs("kc", "fn", "D");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
