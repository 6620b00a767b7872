package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed per tooth from a feed rate. */
@AutoService(CuttingQuantity.class)
public final class FeedPerTooth implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("fz", "mm", "vf/(n*z)", in -> in.get("vf") / (in.get("n") * in.get("z")))
          .needs("vf", "n", "z")
          .when(Conditions.WHOLE_TEETH, Conditions.NOT_WHOLE);

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
