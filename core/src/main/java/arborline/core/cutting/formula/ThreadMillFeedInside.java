package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed of the tool centre when a thread is milled inside. */
@AutoService(CuttingQuantity.class)
public final class ThreadMillFeedInside implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "vf_thread_int",
              "mm/min",
              "vf*(D1-D)/D1 (tool-centre feed, internal circle)",
              in -> in.get("vf") * (in.get("D1") - in.get("D")) / in.get("D1"))
          .needs("vf", "D1", "D")
          .when(
              in -> in.get("D") < in.get("D1"), "cutter must be smaller than the internal circle");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
