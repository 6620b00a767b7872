package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Hole before tapping to a percentage of thread. */
@AutoService(CuttingQuantity.class)
public final class TapHoleByPercent implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "tap_drill_pct",
              "mm",
              "d-1.0825*P*pct/100 (100% = 5/8 H each side)",
              in -> in.get("d") - 1.0825 * in.get("P") * in.get("pct") / 100)
          .needs("d", "P", "pct")
          .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter")
          .when(in -> in.get("pct") <= 100, "pct must be <= 100");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
