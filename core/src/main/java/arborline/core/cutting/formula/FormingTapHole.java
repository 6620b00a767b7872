package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Hole before forming a thread: the material that is pressed aside fills it. */
@AutoService(CuttingQuantity.class)
public final class FormingTapHole implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("form_drill", "mm", "d-0.5*P", in -> in.get("d") - 0.5 * in.get("P"))
          .needs("d", "P")
          .when(in -> in.get("P") < in.get("d"), "pitch must be smaller than thread diameter");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
