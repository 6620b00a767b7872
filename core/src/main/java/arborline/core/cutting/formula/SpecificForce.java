package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Specific cutting force. */
@AutoService(CuttingQuantity.class)
public final class SpecificForce implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "kc",
              "N/mm2",
              "kc11*h^-mc*(1-0.01*gamma)",
              in ->
                  in.get("kc11")
                      * Math.pow(in.get("h"), -in.get("mc"))
                      * (1 - 0.01 * in.get("gamma", 0)))
          .needs("kc11", "mc", "h")
          .free("gamma");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
