package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Cutting speed. */
@AutoService(CuttingQuantity.class)
public final class CuttingSpeed implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("vc", "m/min", "pi*D*n/1000", in -> Math.PI * in.get("D") * in.get("n") / 1000)
          .needs("n", "D");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
