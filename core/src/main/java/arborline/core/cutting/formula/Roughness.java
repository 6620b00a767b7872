package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Height of the feed marks that a corner radius leaves. */
@AutoService(CuttingQuantity.class)
public final class Roughness implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "Rt",
              "um",
              "1000*fn^2/(8*RE)",
              in -> 1000 * in.get("fn") * in.get("fn") / (8 * in.get("RE")))
          .needs("fn", "RE");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
