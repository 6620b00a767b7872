package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Spindle power in milling. */
@AutoService(CuttingQuantity.class)
public final class PowerMilling implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "Pc_mill",
              "kW",
              "ap*ae*vf*kc/(60e6*eta)",
              in ->
                  in.get("ap")
                      * in.get("ae")
                      * in.get("vf")
                      * in.get("kc")
                      / (60e6 * in.get("eta", 1)))
          .needs("ap", "ae", "vf", "kc")
          .may("eta")
          .when(Conditions.EFFICIENT, Conditions.NOT_EFFICIENT);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
