package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed rate of a tap. */
@AutoService(CuttingQuantity.class)
public final class TapFeedRate implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("tap_feed", "mm/min", "n*P", in -> in.get("n") * in.get("P")).needs("n", "P");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
