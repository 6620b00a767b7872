package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Feed of the tool centre when a thread is milled outside. */
@AutoService(CuttingQuantity.class)
public final class ThreadMillFeedOutside implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of(
              "vf_thread_ext",
              "mm/min",
              "vf*(D1+D)/D1 (tool-centre feed, external circle)",
              in -> in.get("vf") * (in.get("D1") + in.get("D")) / in.get("D1"))
          .needs("vf", "D1", "D");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
