package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed per tooth that gives a chip thickness. */
@AutoService(CuttingQuantity.class)
public final class FeedForChip implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "fz_comp",
              "mm",
              "h/(sin(kappa)*2*sqrt(ae/D-(ae/D)^2)) for ae<D/2 else h/sin(kappa)",
              in -> in.get("h") / EdgeGeometry.thinning(in))
          .needs("h", "ae", "D")
          .may("ka")
          .when(Conditions.ENGAGED, Conditions.NOT_ENGAGED);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
