package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed rate of a cutter with z teeth. */
@AutoService(CuttingQuantity.class)
public final class FeedRateOfTeeth implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("vf_mill", "mm/min", "n*z*fz", in -> in.get("n") * in.get("z") * in.get("fz"))
          .needs("n", "z", "fz")
          .when(Conditions.WHOLE_TEETH, Conditions.NOT_WHOLE);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
