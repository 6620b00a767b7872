package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Spindle power in drilling. */
@AutoService(CuttingQuantity.class)
public final class PowerDrilling implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "Pc_drill",
              "kW",
              "fn*vc*D*kc/(240e3*eta)",
              in ->
                  in.get("fn")
                      * in.get("vc")
                      * in.get("D")
                      * in.get("kc")
                      / (240e3 * in.get("eta", 1)))
          .needs("fn", "vc", "D", "kc")
          .may("eta")
          .when(Conditions.EFFICIENT, Conditions.NOT_EFFICIENT);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
