package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Spindle power in turning. */
@AutoService(CuttingQuantity.class)
public final class PowerTurning implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "Pc_turn",
              "kW",
              "vc*ap*fn*kc/(60e3*eta)",
              in ->
                  in.get("vc")
                      * in.get("ap")
                      * in.get("fn")
                      * in.get("kc")
                      / (60e3 * in.get("eta", 1)))
          .needs("vc", "ap", "fn", "kc")
          .may("eta")
          .when(Conditions.EFFICIENT, Conditions.NOT_EFFICIENT);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
