package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Hole before tapping. */
@AutoService(CuttingQuantity.class)
public final class TapHole implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("tap_drill", "mm", "d-P", in -> in.get("d") - in.get("P"))
          .needs("d", "P")
          .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
