package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Spindle speed. */
@AutoService(CuttingQuantity.class)
public final class SpindleSpeed implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "n_rpm",
              "1/min",
              "1000*vc/(pi*D)",
              in -> 1000 * in.get("vc") / (Math.PI * in.get("D")))
          .needs("vc", "D");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
