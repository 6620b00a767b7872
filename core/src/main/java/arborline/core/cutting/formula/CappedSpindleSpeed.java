package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Spindle speed, no higher than the tool may turn. */
@AutoService(CuttingQuantity.class)
public final class CappedSpindleSpeed implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "n_capped",
              "1/min",
              "min(1000*vc/(pi*D),RPMX)",
              in -> Math.min(1000 * in.get("vc") / (Math.PI * in.get("D")), in.get("RPMX")))
          .needs("vc", "D", "RPMX");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
