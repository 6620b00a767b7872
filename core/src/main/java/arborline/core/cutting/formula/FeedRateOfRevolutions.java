package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed rate by feed per revolution. */
@AutoService(CuttingQuantity.class)
public final class FeedRateOfRevolutions implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("vf_rev", "mm/min", "n*fn", in -> in.get("n") * in.get("fn")).needs("n", "fn");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
