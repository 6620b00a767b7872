package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Mean chip thickness in side milling. */
@AutoService(CuttingQuantity.class)
public final class MeanChipAtSide implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "hm_side",
              "mm",
              "fz*sin(kappa)*(2*ae/D)/acos(1-2*ae/D)",
              in -> {
                double share = 2 * in.get("ae") / in.get("D");
                return in.get("fz") * EdgeGeometry.sinKappa(in) * share / Math.acos(1 - share);
              })
          .needs("fz", "ae", "D")
          .may("ka")
          .when(Conditions.ENGAGED, Conditions.NOT_ENGAGED);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
