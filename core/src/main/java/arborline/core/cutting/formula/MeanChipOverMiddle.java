package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Mean chip thickness with the cutter over the middle of the work. */
@AutoService(CuttingQuantity.class)
public final class MeanChipOverMiddle implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "hm_centre",
              "mm",
              "fz*sin(kappa)*(2*ae/D)/(2*asin(ae/D))",
              in -> {
                double share = in.get("ae") / in.get("D");
                return in.get("fz")
                    * EdgeGeometry.sinKappa(in)
                    * 2
                    * share
                    / (2 * Math.asin(share));
              })
          .needs("fz", "ae", "D")
          .may("ka")
          .when(Conditions.ENGAGED, Conditions.NOT_ENGAGED);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
