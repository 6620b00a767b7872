package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed rate of a tap with threads per inch. */
@AutoService(CuttingQuantity.class)
public final class TapFeedRateInch implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("tap_feed_tpi", "mm/min", "n*25.4/tpi", in -> in.get("n") * 25.4 / in.get("tpi"))
          .needs("n", "tpi");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
