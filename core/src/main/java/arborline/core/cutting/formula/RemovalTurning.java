package arborline.core.cutting.formula;

import com.google.auto.service.AutoService;

/** Removal rate in turning. */
@AutoService(CuttingQuantity.class)
public final class RemovalTurning implements CuttingQuantity {

  public static final Formula FORMULA =
      Formula.of("Q_turn", "cm3/min", "vc*ap*fn", in -> in.get("vc") * in.get("ap") * in.get("fn"))
          .needs("vc", "ap", "fn");

  @Override
  public Formula formula() {
    return FORMULA;
  }
}
