package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Hole before forming a thread to a percentage. */
@AutoService(CuttingQuantity.class)
public final class FormingTapHoleByPercent implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "form_tap_drill",
              "mm",
              "d-0.0068*P*pct",
              in -> in.get("d") - 0.0068 * in.get("P") * in.get("pct"))
          .needs("d", "P", "pct")
          .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter")
          .when(in -> in.get("pct") <= 100, "pct must be <= 100");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
