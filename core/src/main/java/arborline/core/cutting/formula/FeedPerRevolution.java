package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed per revolution from a feed rate. */
@AutoService(CuttingQuantity.class)
public final class FeedPerRevolution implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("fn", "mm", "vf/n", in -> in.get("vf") / in.get("n")).needs("vf", "n");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
